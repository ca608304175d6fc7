package nexa.desktop.tool.lens;

import java.util.List;
import javafx.scene.Node;
import nexa.core.series.PhotoCrop;
import nexa.desktop.desk.DeskPage;
import nexa.desktop.tool.Easel;
import nexa.desktop.tool.EaselTool;

/** Puts the photo's lens right: by what is known of it, by hand, by lines that should be straight. */
public final class LensTool implements EaselTool {
    private final LensHand hand;
    private final BentLines bent;
    private final LensPage page;

    public LensTool(Easel easel) {
        hand = new LensHand(easel);
        bent = new BentLines(easel, hand);
        page = new LensPage(hand, bent);
    }

    /** Its page of the desk's part for the shape. */
    public DeskPage page() {
        return new DeskPage("shape.lens", "page-lens", page.node());
    }

    @Override
    public List<Node> overStage() {
        return List.of(bent.bar());
    }

    @Override
    public void show(PhotoCrop crop) {
        page.show(crop.photo().preparation().lens(), hand.told(crop.photo()));
    }

    @Override
    public void clear() {
        page.clear();
    }
}
