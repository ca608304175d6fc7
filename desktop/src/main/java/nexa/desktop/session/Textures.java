package nexa.desktop.session;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import javafx.application.Platform;
import nexa.core.shoot.EdgeTexture;
import nexa.core.shoot.FileIdentity;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Preparation;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.ShootDraft;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.pictures.PictureLibrary;
import nexa.imaging.pictures.TextureReading;
import nexa.imaging.work.LatestOnly;

/** Reads how busy photos are inside their edges, as soon as a crop reaches beyond these, and lets the shoot learn it. */
final class Textures {
    /** So many are told at once: each time the views are stirred. */
    private static final int AT_A_TIME = 8;

    /** A photo as it was asked for. */
    private record Asked(String file, Optional<FileIdentity> identity, Preparation sides) {
        static Asked of(Photo photo) {
            return new Asked(photo.file(), photo.identity(), photo.preparation().beforeShape());
        }
    }

    private final PhotoFolder folder;
    private final PresentShoot shoot;
    private final PictureLibrary pictures;
    private final Predicate<Photo> isReady;
    private final LatestOnly<List<Photo>> wanting;
    private final Set<Asked> asked = new HashSet<>();
    private final Map<Asked, EdgeTexture> known = new HashMap<>();

    Textures(PhotoFolder folder, PresentShoot shoot, PictureLibrary pictures, Predicate<Photo> isReady) {
        this.folder = folder;
        this.shoot = shoot;
        this.pictures = pictures;
        this.isReady = isReady;
        this.wanting = shoot.background().latest(this::read);
        shoot.property().addListener((observed, before, now) -> look(now));
        look(shoot.get());
    }

    private void look(Shoot now) {
        wanting.ask(() -> TextureReading.wanted(now));
    }

    private void read(List<Photo> wanted) {
        Map<Asked, EdgeTexture> again = new HashMap<>();
        List<Photo> news = new ArrayList<>();
        for (Photo photo : wanted.stream().filter(isReady).toList()) {
            Asked key = Asked.of(photo);
            if (known.containsKey(key)) {
                // It lies again as it lay before.
                again.put(key, known.get(key));
            } else if (asked.add(key)) {
                news.add(photo);
            }
        }
        learn(again);
        for (int i = 0; i < news.size(); i += AT_A_TIME) {
            List<Photo> part = news.subList(i, Math.min(news.size(), i + AT_A_TIME));
            pictures.whenIdle(() -> tell(part));
        }
    }

    private void tell(List<Photo> photos) {
        Map<Asked, EdgeTexture> textures = new HashMap<>();
        for (Photo photo : photos) {
            try {
                textures.put(Asked.of(photo), TextureReading.of(folder, photo));
            } catch (PhotoProblem e) {
                // Whoever shows it tells.
                continue;
            }
        }
        Platform.runLater(() -> {
            known.putAll(textures);
            learn(textures);
        });
    }

    /** Of photos that are still those that were asked for. */
    private void learn(Map<Asked, EdgeTexture> textures) {
        if (textures.isEmpty()) {
            return;
        }
        shoot.turns().now(() -> {
            ShootDraft draft = shoot.get().draft();
            textures.forEach((of, texture) -> draft.before()
                    .find(of.file())
                    .filter(there -> of.equals(Asked.of(there)))
                    .ifPresent(there -> draft.change(of.file(), photo -> photo.withTexture(texture))));
            shoot.set(draft.shoot());
        });
    }

    /** What is being worked out is not wanted any more. */
    void stop() {
        wanting.forget();
    }
}
