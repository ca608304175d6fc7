package nexa.desktop.desk;

import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import nexa.core.shape.Edge;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.TextSize;
import nexa.desktop.parts.Words;

/** The desk's part for a photo's light and colour: the edge that is wanted darker or lighter. */
public final class ColourSection {
    private static final double WIDTH = 356;
    private static final double STEP = 0.05;
    private static final double PERCENT = 100;

    /** What can be done with light and colour. */
    public interface Actions {
        /**
         * The edge is set by hand.
         *
         * @param isHeld whether the hand is still at it
         */
        void edge(UnaryOperator<Edge> change, boolean isHeld);

        /** The hand let go. */
        void edgeLetGo();

        /** Something was typed that is no number, or out of range. */
        void notAnEdge(String text);
    }

    private final Actions actions;
    private final DeskPart part = new DeskPart("desk.colour");
    private final FineScale stops;
    private final NumberFields numbers;
    private final TextField middle;
    private final Button none;
    private final VBox node;
    private Edge shown = Edge.NONE;

    public ColourSection(Actions actions) {
        this.actions = actions;
        this.numbers = new NumberFields(actions::notAnEdge);
        stops = new FineScale(
                "edge-stops",
                "edge.stops",
                new FineScale.Reach(Edge.MOST_STOPS, STEP, Edge.MOST_STOPS),
                new DegreeScale.Listener() {
                    @Override
                    public void moved(double value, boolean isHeld) {
                        actions.edge(edge -> edge.withStops(value), isHeld);
                    }

                    @Override
                    public void letGo() {
                        actions.edgeLetGo();
                    }
                });
        TextField stopsNumber = numbers.add(
                "edge-stops-number",
                "edge.stops",
                4,
                () -> Words.number(shown.stops(), 2),
                value -> set(edge -> edge.withStops(value)));
        middle = numbers.add(
                "edge-middle",
                "edge.middle",
                4,
                () -> Words.get("desk.percent.value", Words.number(PERCENT * shown.middle(), 0)),
                value -> set(edge -> edge.withMiddle(value / PERCENT)));
        none = Parts.button("edge.none", () -> set(edge -> Edge.NONE), "small-button");
        none.setId("edge-none");
        none.setMinWidth(Region.USE_PREF_SIZE);
        ScaleGrid grid = new ScaleGrid();
        grid.add("edge.stops", stops, stopsNumber, "edge.middle", middle);
        Label says = Parts.label(Words.get("edge.says"), "small", "quiet");
        HBox foot = new HBox(5, says, Parts.spacer(), none);
        foot.setAlignment(Pos.CENTER_LEFT);
        HBox head = new HBox(3, part.head());
        head.setAlignment(Pos.CENTER_LEFT);
        node = new VBox(5, head, grid, foot);
        node.getStyleClass().add("desk-section");
        node.setPrefWidth(TextSize.scaled(WIDTH));
        part.with(node, TextSize.scaled(WIDTH));
    }

    private void set(UnaryOperator<Edge> change) {
        actions.edge(change, false);
        actions.edgeLetGo();
    }

    DeskPart part() {
        return part;
    }

    void show(Edge edge) {
        node.setDisable(false);
        shown = edge;
        stops.show(edge.stops());
        middle.setDisable(edge.isNone());
        none.setDisable(edge.equals(Edge.NONE));
        numbers.show();
    }

    void clear() {
        node.setDisable(true);
        shown = Edge.NONE;
        stops.show(0);
        numbers.clear();
    }
}
