package nexa.desktop.easel;

import java.util.function.Consumer;
import nexa.desktop.desk.ColourSection;
import nexa.desktop.desk.LensPage;
import nexa.desktop.desk.PerspectivePage;
import nexa.desktop.desk.ShapeSection;
import nexa.desktop.desk.TrimPage;
import nexa.desktop.parts.Overlays;
import nexa.desktop.session.ShootSession;
import nexa.desktop.stage.PhotoStage;

/** What the hand does on the desk's leaves for shape and colour, and those leaves. */
final class ShapeHands {
    private final PerspectiveHand perspective;
    private final PerspectivePage perspectivePage;
    private final TrimHand trim;
    private final LensHand lens;
    private final BentLines bent;
    private final BeyondHand beyond;
    private final ShapeSection shape;
    private final ColourSection colour;

    /**
     * The leaves, showing nothing.
     *
     * @param say hears what is said on the stage
     * @param messages hears what the photographer is to be told
     */
    ShapeHands(
            ShootSession session,
            PhotoStage stage,
            StageHand hand,
            StageHint hint,
            Reshaping reshaping,
            LinesHand lines,
            Overlays overlays,
            Consumer<String> say,
            Consumer<String> messages) {
        perspective = new PerspectiveHand(session, stage, hand, reshaping, lines, messages);
        perspectivePage = new PerspectivePage(perspective);
        trim = new TrimHand(session, stage, hand, hint, say, messages);
        TrimPage trimPage = new TrimPage(trim);
        trim.belongTo(trimPage.fields());
        lens = new LensHand(session, hand, overlays, messages);
        bent = new BentLines(session, stage, hand, lens, say);
        beyond = new BeyondHand(session, hand, messages);
        shape = new ShapeSection(new LensPage(lens), perspectivePage, trimPage, lens::told, reshaping::focalLength);
        colour = new ColourSection(lens);
    }

    PerspectiveHand perspective() {
        return perspective;
    }

    PerspectivePage perspectivePage() {
        return perspectivePage;
    }

    TrimHand trim() {
        return trim;
    }

    /** The lines by which the lens is put right. */
    BentLines bent() {
        return bent;
    }

    /** What lies beyond the photo. */
    BeyondHand beyond() {
        return beyond;
    }

    ShapeSection shape() {
        return shape;
    }

    ColourSection colour() {
        return colour;
    }
}
