package nexa.desktop.handover;

import java.io.IOException;
import java.nio.file.Path;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import nexa.core.format.Format;
import nexa.core.shoot.Photo;
import nexa.desktop.session.ShootNow;
import nexa.imaging.deliver.DeliveryCheck;
import nexa.imaging.deliver.DeliveryPlan;
import nexa.imaging.pictures.PixelLook;

/**
 * What is known before a delivery goes.
 *
 * @param formats those that go
 * @param toLookAt the photos of which more is known once their pixels were looked at
 * @param beyond the shares that are not photo of the crops that reach beyond theirs
 * @param likely so many bytes its files may take
 * @param room so many bytes are free where it goes; below 0 where nobody can tell
 */
record Foreseen(
        DeliveryPlan plan,
        List<DeliveryCheck.Finding> findings,
        List<Format> formats,
        List<Photo> toLookAt,
        DoubleSummaryStatistics beyond,
        long likely,
        long room) {

    static Foreseen of(ShootNow now, DeliveryPlan.Choice choice, Path destination) {
        Set<String> shown = now.photos().stream().map(Photo::file).collect(Collectors.toSet());
        DeliveryPlan plan = DeliveryPlan.of(now.shoot(), now.reading(), choice, now.levels());
        List<DeliveryCheck.Finding> findings = DeliveryCheck.of(now.shoot(), now.reading(), plan).stream()
                .filter(finding -> shown.contains(finding.file()))
                .toList();
        List<Format> formats =
                plan.files().stream().map(DeliveryPlan.Item::format).distinct().toList();
        List<Photo> toLookAt =
                PixelLook.wanted(plan.files().stream().map(DeliveryPlan.Item::photo), now.reading(), formats);
        return new Foreseen(
                plan,
                findings,
                formats,
                toLookAt,
                DeliveryCheck.sharesBeyond(plan),
                DeliveryCheck.likelyBytes(plan),
                room(destination));
    }

    private static long room(Path destination) {
        try {
            return DeliveryCheck.room(destination);
        } catch (IOException e) {
            return -1;
        }
    }

    boolean isTooMuch() {
        return room >= 0 && room < likely;
    }

    List<DeliveryCheck.Finding> of(DeliveryCheck.Kind kind) {
        return findings.stream().filter(finding -> finding.kind() == kind).toList();
    }
}
