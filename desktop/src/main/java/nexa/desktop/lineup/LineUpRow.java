package nexa.desktop.lineup;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Supplier;
import javafx.scene.layout.HBox;
import org.fxmisc.flowless.Cell;

/** A row of the line-up. Its cells are kept and filled anew as it scrolls. */
final class LineUpRow implements Cell<List<String>, HBox> {
    private final HBox node = new HBox(10);
    private final List<LineUpCell> pool = new ArrayList<>();
    private final Supplier<LineUpCell> newCell;
    private final BiConsumer<LineUpCell, String> fill;
    private List<String> files = List.of();

    /** @param fill shows a file in a cell */
    LineUpRow(Supplier<LineUpCell> newCell, BiConsumer<LineUpCell, String> fill) {
        this.newCell = newCell;
        this.fill = fill;
        node.getStyleClass().add("lineup-row");
    }

    @Override
    public HBox getNode() {
        return node;
    }

    @Override
    public boolean isReusable() {
        return true;
    }

    @Override
    public void updateItem(List<String> newFiles) {
        files = newFiles;
        while (pool.size() < files.size()) {
            pool.add(newCell.get());
        }
        node.getChildren().setAll(pool.subList(0, files.size()));
        refresh();
    }

    /** Shows the present state of the same files. */
    void refresh() {
        for (int i = 0; i < files.size(); i++) {
            fill.accept(pool.get(i), files.get(i));
        }
    }

    @Override
    public void reset() {
        files = List.of();
        pool.forEach(LineUpCell::clear);
    }
}
