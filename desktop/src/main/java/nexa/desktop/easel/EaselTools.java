package nexa.desktop.easel;

import java.util.List;
import nexa.desktop.desk.Desk;
import nexa.desktop.desk.DeskPage;
import nexa.desktop.desk.DeskPages;
import nexa.desktop.desk.DeskPart;
import nexa.desktop.tool.Easel;
import nexa.desktop.tool.PhotoActions;
import nexa.desktop.tool.beyond.BeyondTool;
import nexa.desktop.tool.crop.CropTool;
import nexa.desktop.tool.guide.EaselSettings;
import nexa.desktop.tool.guide.GuideTool;
import nexa.desktop.tool.lens.LensTool;
import nexa.desktop.tool.level.LevelTool;
import nexa.desktop.tool.perspective.PerspectiveTool;
import nexa.desktop.tool.propose.ProposeTool;
import nexa.desktop.tool.subject.SubjectTool;
import nexa.desktop.tool.trim.TrimTool;
import nexa.desktop.tool.vignette.VignetteTool;

/** The easel's tools: all there are, listed once, and the desk that their parts make. */
final class EaselTools {
    private final LevelTool level;
    private final SubjectTool subject;
    private final ProposeTool propose;
    private final BeyondTool beyond;
    private final CropTool crop;
    private final GuideTool guides;
    private final Desk desk;

    /**
     * All tools, added to an easel.
     *
     * @param step the desk's part for the crop's place in the set
     */
    EaselTools(Easel easel, PhotoActions actions, EaselSettings settings, DeskPart step) {
        PerspectiveTool perspective = new PerspectiveTool(easel);
        LensTool lens = new LensTool(easel);
        TrimTool trim = new TrimTool(easel);
        VignetteTool vignette = new VignetteTool(easel);
        level = new LevelTool(easel, actions, perspective);
        subject = new SubjectTool(easel);
        propose = new ProposeTool(easel, settings);
        beyond = new BeyondTool(easel);
        crop = new CropTool(easel);
        guides = new GuideTool(easel, settings);
        List.of(level, perspective, lens, trim, vignette, subject, propose, beyond, crop, guides)
                .forEach(easel::add);
        DeskPage open = perspective.page();
        DeskPages shape = new DeskPages("desk.shape", List.of(lens.page(), open, trim.page()), open);
        desk = new Desk(
                List.of(level.part(), shape.part(), vignette.part()), List.of(guides.part(), crop.part(), step));
    }

    LevelTool level() {
        return level;
    }

    SubjectTool subject() {
        return subject;
    }

    ProposeTool propose() {
        return propose;
    }

    BeyondTool beyond() {
        return beyond;
    }

    CropTool crop() {
        return crop;
    }

    GuideTool guides() {
        return guides;
    }

    Desk desk() {
        return desk;
    }
}
