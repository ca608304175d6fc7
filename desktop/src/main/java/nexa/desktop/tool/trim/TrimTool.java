package nexa.desktop.tool.trim;

import nexa.core.geometry.Point;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Trim;
import nexa.desktop.desk.DeskPage;
import nexa.desktop.tool.Easel;
import nexa.desktop.tool.EaselTool;

/** Trims the photo: by numbers, by handles, by the border that is found. */
public final class TrimTool implements EaselTool {
    private final TrimHand hand;
    private final TrimPage page;

    public TrimTool(Easel easel) {
        hand = new TrimHand(easel);
        page = new TrimPage(hand);
        hand.belongTo(page.fields());
    }

    /** Its page of the desk's part for the shape. */
    public DeskPage page() {
        return new DeskPage("shape.trim", "page-trim", page.node());
    }

    @Override
    public void show(PhotoCrop crop) {
        page.show(crop);
    }

    @Override
    public void clear() {
        page.clear();
    }

    @Override
    public void withdraw() {
        hand.forget();
    }

    @Override
    public boolean moves(Object part, Point pixels) {
        if (part instanceof Trim.Side side) {
            hand.move(side, pixels);
            return true;
        }
        return false;
    }
}
