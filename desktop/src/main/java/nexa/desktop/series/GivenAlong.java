package nexa.desktop.series;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import javafx.scene.control.ToggleButton;
import nexa.core.series.LensChange;
import nexa.core.series.PerspectiveOnce;
import nexa.core.shape.Edge;
import nexa.core.shape.Lens;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Preparation;
import nexa.core.shoot.Shoot;
import nexa.desktop.session.Lenses;

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

    /** How many of photos have a lens that is not known, if lenses are to be given. */
    int withoutLens(List<String> files) {
        return lens.isSelected() ? files.size() - lenses.likewise(lead, files).size() : 0;
    }

    /** Gives photos what is chosen now. */
    UnaryOperator<Shoot> to(List<String> files) {
        Map<String, Lens> given = lens.isSelected() ? lenses.likewise(lead, files) : Map.of();
        boolean givesPerspective = perspective.isSelected();
        boolean givesEdge = edge.isSelected();
        Edge wanted = lead.preparation().edge();
        return shoot -> {
            Shoot now = LensChange.give(shoot, given);
            if (givesPerspective) {
                now = PerspectiveOnce.give(now, lead.file(), files);
            }
            return givesEdge
                    ? now.draft()
                            .change(
                                    Set.copyOf(files),
                                    photo -> photo.withPreparation(
                                            photo.preparation().withEdge(wanted)))
                            .shoot()
                    : now;
        };
    }
}
