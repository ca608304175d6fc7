package nexa.desktop.series;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import javafx.scene.control.ToggleButton;
import nexa.core.series.LensChange;
import nexa.core.series.PerspectiveOnce;
import nexa.core.shape.Lens;
import nexa.core.shape.Vignette;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Preparation;
import nexa.core.shoot.Shoot;
import nexa.desktop.session.Lenses;
import nexa.desktop.session.LensesNow;

/** What of a photo is given to others along with its crop, each for itself and once: lens, perspective, edge. */
final class GivenAlong {
    private final Photo lead;
    private final Lenses lenses;
    private final ToggleButton lens;
    private final ToggleButton perspective;
    private final ToggleButton edge;

    /** @param changed hears that something else is to be given */
    GivenAlong(Photo lead, Lenses lenses, Runnable changed) {
        this.lead = lead;
        this.lenses = lenses;
        lens = CarryPanel.choice("carry.lens", changed);
        perspective = CarryPanel.choice("carry.perspective", changed);
        edge = CarryPanel.choice("carry.edge", changed);
        Preparation done = lead.preparation();
        lens.setDisable(done.lens().isEmpty());
        perspective.setDisable(done.perspective().isEmpty());
    }

    List<ToggleButton> buttons() {
        return List.of(lens, perspective, edge);
    }

    /**
     * What came of giving.
     *
     * @param withoutLens how many photos were to be given a lens and have none that is known
     * @param leftAsTheyAre how many keep their perspective, since with their trims nothing would be left of them
     */
    record Given(Shoot shoot, int withoutLens, int leftAsTheyAre) {}

    /** Gives photos what is chosen now; to be done in the background. */
    Function<Shoot, Given> to(List<String> files) {
        boolean givesLens = lens.isSelected();
        boolean givesPerspective = perspective.isSelected();
        boolean givesEdge = edge.isSelected();
        LensesNow known = lenses.now();
        return shoot -> {
            Map<String, Lens> given = givesLens ? known.likewise(lead, files) : Map.of();
            Shoot now = LensChange.give(shoot, given);
            int leftAsTheyAre = 0;
            if (givesPerspective) {
                leftAsTheyAre = PerspectiveOnce.leavesNothingOf(now, lead.file(), files);
                now = PerspectiveOnce.give(now, lead.file(), files);
            }
            return new Given(
                    givesEdge ? withVignette(now, files) : now,
                    givesLens ? files.size() - given.size() : 0,
                    leftAsTheyAre);
        };
    }

    private Shoot withVignette(Shoot shoot, List<String> files) {
        Vignette wanted = lead.preparation().vignette();
        return shoot.draft()
                .change(
                        Set.copyOf(files),
                        photo -> photo.withPreparation(photo.preparation().withVignette(wanted)))
                .shoot();
    }
}
