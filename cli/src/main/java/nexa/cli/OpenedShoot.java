package nexa.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.find.Found;
import nexa.core.message.Message;
import nexa.core.series.Renamed;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.facts.ShootReading;
import nexa.imaging.find.PhotoFinder;
import nexa.imaging.pictures.TextureReading;
import nexa.store.document.ShootProblem;
import nexa.store.shoot.ShootFolder;
import nexa.store.user.KeptFindings;
import nexa.store.user.UserData;

/**
 * A shoot with what its photos say of themselves.
 *
 * @param photos those of the folder
 * @param document the shoot as its document tells it
 */
record OpenedShoot(
        Path folder, PhotoFolder photos, Shoot document, Shoot shoot, ShootReading reading, List<Message> notices) {

    /** The word for a photo that cannot be read. */
    static final String UNREADABLE = "unreadable";

    /** Opens a shoot for looking only: nothing is locked and nothing written. */
    static OpenedShoot open(Path folder) throws ShootProblem {
        return of(ShootFolder.look(folder, UserData.ofThisUser()));
    }

    /** A folder that is open already. */
    static OpenedShoot of(ShootFolder opened) {
        PhotoFolder photos = new PhotoFolder(opened.path());
        ShootReading reading = ShootReading.of(opened.shoot().photos(), photos);
        Shoot shoot = TextureReading.read(reading.appliedTo(opened.shoot()), photos, reading.problems());
        List<Message> notices = new ArrayList<>(opened.notices());
        reading.passedOver().ifPresent(notices::add);
        int renamed = Renamed.find(shoot, opened.missing()).size();
        if (renamed > 0) {
            notices.add(Message.of("cli.renamed", renamed));
        }
        return new OpenedShoot(opened.path(), photos, opened.shoot(), shoot, reading, notices);
    }

    /** What was found in its photos before. */
    KeptFindings findings() {
        return KeptFindings.of(folder, UserData.ofThisUser());
    }

    /** What is found in a photo, or was found before. */
    <T extends Found> Optional<T> find(Class<T> what, Photo photo, KeptFindings kept) throws PhotoProblem {
        return kept.find(what, photo, () -> PhotoFinder.find(what, photos, photo, () -> false));
    }

    /** The word for why a photo that has a problem has no crops. */
    String whyNot(Photo photo) {
        return reading.leavesNothing(photo) ? "nothing-left" : UNREADABLE;
    }

    /** Tells which photos could not be read, and whether there was one. */
    boolean tellProblems(PrintWriter err) {
        if (shoot.photos().isEmpty()) {
            err.println(NexaCommand.WORDS.get("cli.noPhotos", folder));
        }
        notices.forEach(notice -> err.println(NexaCommand.WORDS.say(notice)));
        List<PhotoProblem> problems = shoot.photos().stream()
                .flatMap(photo -> reading.problem(photo, document).stream())
                .toList();
        problems.forEach(problem -> err.println(NexaCommand.WORDS.say(problem)));
        return !problems.isEmpty();
    }
}
