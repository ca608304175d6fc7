package nexa.desktop.tool.vignette;

import java.util.function.UnaryOperator;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import nexa.core.series.PhotoCrop;
import nexa.core.shape.Vignette;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Preparation;
import nexa.desktop.desk.DegreeScale;
import nexa.desktop.desk.DeskPart;
import nexa.desktop.desk.FineScale;
import nexa.desktop.desk.NumberFields;
import nexa.desktop.desk.ScaleGrid;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.TextSize;
import nexa.desktop.parts.Words;
import nexa.desktop.tool.Easel;
import nexa.desktop.tool.EaselTool;
import nexa.desktop.tool.PhotoGestures;

/** The vignette that is wanted, whatever the lens made: the desk's part for a photo's light and colour. */
public final class VignetteTool implements EaselTool {
    private static final double WIDTH = 356;
    private static final double STEP = 0.05;
    private static final double PERCENT = 100;

    private final Easel easel;
    private final DeskPart part = new DeskPart("desk.colour");
    private final FineScale stops;
    private final NumberFields numbers;
    private final TextField middle;
    private final Button none;
    private Vignette shown = Vignette.NONE;

    public VignetteTool(Easel easel) {
        this.easel = easel;
        this.numbers = new NumberFields(text -> easel.tell(Words.get("edge.notANumber", text)));
        stops = new FineScale(
                "edge-stops",
                "edge.stops",
                new FineScale.Reach(Vignette.MOST_STOPS, STEP, Vignette.MOST_STOPS),
                new DegreeScale.Listener() {
                    @Override
                    public void moved(double value, boolean isHeld) {
                        change(vignette -> vignette.withStops(value), isHeld);
                    }

                    @Override
                    public void letGo() {
                        easel.gestures().letGo();
                    }
                });
        TextField stopsNumber = numbers.add(
                "edge-stops-number",
                "edge.stops",
                4,
                () -> Words.number(shown.stops(), 2),
                value -> set(vignette -> vignette.withStops(value)));
        middle = numbers.add(
                "edge-middle",
                "edge.middle",
                4,
                () -> Words.get("desk.percent.value", Words.number(PERCENT * shown.middle(), 0)),
                value -> set(vignette -> vignette.withMiddle(value / PERCENT)));
        none = Parts.smallButton("edge.none", "edge-none", () -> set(vignette -> Vignette.NONE));
        ScaleGrid grid = new ScaleGrid();
        grid.add("edge.stops", stops, stopsNumber, "edge.middle", middle);
        Label says = Parts.label(Words.get("edge.says"), "small", "quiet");
        HBox foot = Parts.row(5, says, Parts.spacer(), none);
        HBox head = Parts.row(3, part.head());
        VBox node = new VBox(5, head, grid, foot);
        node.getStyleClass().add("desk-section");
        node.setPrefWidth(TextSize.scaled(WIDTH));
        part.with(node, TextSize.scaled(WIDTH));
    }

    private void change(UnaryOperator<Vignette> change, boolean isHeld) {
        easel.tracing().clear();
        PhotoGestures gestures = easel.gestures().photo();
        Preparation now = gestures.preparation();
        gestures.prepare(Edit.Kind.EDGE, now.withVignette(change.apply(now.vignette())), isHeld);
    }

    private void set(UnaryOperator<Vignette> change) {
        change(change, false);
        easel.gestures().finish();
    }

    /** Its part of the desk. */
    public DeskPart part() {
        return part;
    }

    @Override
    public void show(PhotoCrop crop) {
        Vignette vignette = crop.photo().preparation().vignette();
        shown = vignette;
        stops.show(vignette.stops());
        middle.setDisable(vignette.isNone());
        none.setDisable(vignette.equals(Vignette.NONE));
        numbers.show();
    }

    @Override
    public void clear() {
        shown = Vignette.NONE;
        stops.show(0);
        numbers.clear();
    }
}
