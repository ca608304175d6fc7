package nexa.desktop.desk;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import javafx.scene.layout.Pane;

/**
 * The desk below the picture: its places side by side, the first with its leaves, and one for each other part. Where there is no room for all,
 * the last parts share a place.
 */
public final class Desk extends Pane {
    private final List<DeskPart> leaves;
    private final DeskPlace first;
    private final List<DeskPart> others;
    private List<DeskPlace> places = List.of();
    private DeskPart open;
    /** How many of the other parts have a place of their own. */
    private int alone = -1;

    /** @param leaves the parts that share the first place: what is done to the photo */
    public Desk(List<DeskPart> leaves, List<DeskPart> others) {
        this.leaves = List.copyOf(leaves);
        this.first = new DeskPlace(leaves, leaves.get(0), leaf -> requestLayout());
        this.others = List.copyOf(others);
        this.open = others.get(0);
        getStyleClass().add("desk");
        Stream.of(leaves, others).flatMap(List::stream).map(DeskPart::node).forEach(getChildren()::add);
    }

    /** Whether there is a photo to do something to. */
    public void setHasPhoto(boolean hasPhoto) {
        leaves.forEach(part -> part.node().setDisable(!hasPhoto));
    }

    @Override
    protected double computeMinWidth(double height) {
        return 0;
    }

    @Override
    protected void layoutChildren() {
        arrange(fitting(getWidth()));
        double x = 0;
        for (DeskPlace place : places) {
            // The last one takes what room is left.
            boolean isLast = place == places.get(places.size() - 1);
            double width = isLast ? getWidth() - x : place == first ? first.widthOfParts() : place.width();
            place.lay(x, 1, width, getHeight() - 1);
            x += width;
        }
    }

    /** How many of the other parts have a place of their own, if no more than fit are to stand beside one another. */
    private int fitting(double width) {
        if (needed(others.size()) <= width) {
            return others.size();
        }
        // A place is not shared by one.
        for (int count = others.size() - 2; count > 0; count--) {
            if (needed(count) <= width) {
                return count;
            }
        }
        return 0;
    }

    private double needed(int count) {
        return first.widthOfParts()
                + places(count).stream().mapToDouble(DeskPlace::width).sum();
    }

    /** The other parts by place, so many of them alone and the rest together. */
    private List<List<DeskPart>> places(int count) {
        List<List<DeskPart>> parts = new ArrayList<>();
        others.subList(0, count).forEach(part -> parts.add(List.of(part)));
        if (count < others.size()) {
            parts.add(others.subList(count, others.size()));
        }
        return parts;
    }

    private void arrange(int newAlone) {
        if (newAlone == alone) {
            return;
        }
        alone = newAlone;
        places = new ArrayList<>(List.of(first));
        for (List<DeskPart> parts : places(alone)) {
            places.add(new DeskPlace(parts, open, this::opened));
        }
    }

    private void opened(DeskPart part) {
        open = part;
        requestLayout();
    }
}
