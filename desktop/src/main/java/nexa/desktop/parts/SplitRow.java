package nexa.desktop.parts;

import javafx.geometry.Orientation;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;

/** Two groups of controls, at the left and at the right; where there is no room for both, the second in a row of its own. */
public final class SplitRow extends Pane {
    private static final double GAP = 12;
    private static final double ROW_GAP = 6;

    private final Region left;
    private final Region right;

    public SplitRow(Region left, Region right) {
        this.left = left;
        this.right = right;
        getChildren().addAll(left, right);
        setMinWidth(0);
    }

    private boolean isInOneRow(double width) {
        double room = width - snappedLeftInset() - snappedRightInset();
        return left.prefWidth(-1) + GAP + right.prefWidth(-1) <= room;
    }

    @Override
    public Orientation getContentBias() {
        return Orientation.HORIZONTAL;
    }

    @Override
    protected double computePrefWidth(double height) {
        return snappedLeftInset() + left.prefWidth(-1) + GAP + right.prefWidth(-1) + snappedRightInset();
    }

    @Override
    protected double computeMinHeight(double width) {
        return computePrefHeight(width);
    }

    @Override
    protected double computePrefHeight(double width) {
        double one = left.prefHeight(-1);
        double other = right.prefHeight(-1);
        double rows = width < 0 || isInOneRow(width) ? Math.max(one, other) : one + ROW_GAP + other;
        return snappedTopInset() + rows + snappedBottomInset();
    }

    @Override
    protected void layoutChildren() {
        double x = snappedLeftInset();
        double y = snappedTopInset();
        double room = getWidth() - x - snappedRightInset();
        double rightWidth = Math.min(room, right.prefWidth(-1));
        if (isInOneRow(getWidth())) {
            double height = getHeight() - y - snappedBottomInset();
            left.resizeRelocate(x, y, left.prefWidth(-1), height);
            right.resizeRelocate(x + room - rightWidth, y, rightWidth, height);
        } else {
            double first = left.prefHeight(-1);
            left.resizeRelocate(x, y, Math.min(room, left.prefWidth(-1)), first);
            right.resizeRelocate(x, y + first + ROW_GAP, rightWidth, right.prefHeight(-1));
        }
    }
}
