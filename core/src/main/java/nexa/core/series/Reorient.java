package nexa.core.series;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import nexa.core.format.Format;
import nexa.core.format.FormatTurn;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Point;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.ShootDraft;
import nexa.core.shoot.Subject;
import nexa.core.shoot.Tune;
import nexa.core.shoot.Wish;

/**
 * Turns photos by quarters or mirrors them. What was said of them goes with the picture: an own crop shows the same part
 * of the scene afterwards, the subject stays on what it marked, a photo that leans keeps its level. A follower is worked
 * out anew. A lead stays one where its new orientation has none; else its followers keep their crops as their own.
 */
public enum Reorient {
    RIGHT(false, 1),
    LEFT(false, 3),
    HALF(false, 2),
    MIRROR(true, 0),
    /** Upside down as in still water: top and bottom change places. */
    MIRROR_DOWN(true, 2);

    private final boolean mirrors;
    private final int quarters;

    /** @param quarters clockwise, after mirroring */
    Reorient(boolean mirrors, int quarters) {
        this.mirrors = mirrors;
        this.quarters = quarters;
    }

    /** The shoot with these photos turned or mirrored. Those not read yet, and those of which nothing is left, stay. */
    public Shoot apply(Shoot shoot, Set<String> files) {
        Set<String> leads = shoot.formats().stream()
                .flatMap(format -> format.leads().values().stream())
                .filter(files::contains)
                .collect(Collectors.toSet());
        ShootDraft draft = shoot.draft();
        // The leads first: who follows keeps the crop it has now, not one worked out anew.
        for (String lead : leads) {
            if (draft.photo(lead).isCroppable()) {
                applyToLead(draft, lead);
            }
        }
        List<Format> formats = draft.formats();
        for (String file : files) {
            if (!leads.contains(file)) {
                draft.change(file, photo -> photo.isCroppable() ? apply(photo, formats) : photo);
            }
        }
        return draft.shoot();
    }

    /** A photo that leads nowhere, with its crops. */
    Photo apply(Photo photo, List<Format> formats) {
        Photo turned = mirrors ? mirrored(photo) : photo;
        for (int i = 0; i < quarters; i++) {
            turned = quarter(turned, formats);
        }
        return turned;
    }

    private void applyToLead(ShootDraft draft, String file) {
        if (mirrors) {
            draft.change(file, Reorient::mirrored);
        }
        for (int i = 0; i < quarters; i++) {
            quarter(draft, file);
        }
    }

    /** A quarter clockwise. */
    private static void quarter(ShootDraft draft, String file) {
        Photo lead = draft.photo(file);
        Leads.lying(draft, file, quarter(lead).orientation());
        List<Format> formats = draft.formats();
        draft.change(file, photo -> quarter(photo, formats));
    }

    /** The photo with its crops. */
    private static Photo quarter(Photo photo, List<Format> formats) {
        Photo turned = quarter(photo);
        for (Format format : formats) {
            if (photo.crops().containsKey(format.id())) {
                CropEntry entry = quarter(turned.entry(format.id()), turned, format);
                turned = turned.withEntry(format.id(), moved(entry, Subject::turnedRight));
            }
        }
        return turned;
    }

    /** The photo alone, its crops as they were. */
    private static Photo quarter(Photo photo) {
        return photo.withPreparation(photo.preparation().turnedRight()).movingSubject(Subject::turnedRight);
    }

    /** An entry with what is spared of the photo where that comes to lie. */
    private static CropEntry moved(CropEntry entry, UnaryOperator<Subject> move) {
        return entry.withBeyond(
                entry.beyond().withSpared(entry.beyond().spared().map(move)));
    }

    private static CropEntry quarter(CropEntry entry, Photo turned, Format format) {
        if (entry.placement() instanceof Placement.Own own) {
            Wish wish = quarter(own.wish());
            Orientation lying = wish.in(turned.space()).size().orientation();
            return entry.withPlacement(new Placement.Own(wish)).withTurn(Lying.said(lying, turned, format));
        }
        CropEntry lying =
                format.turn() == FormatTurn.PHOTO ? entry.withTurn(entry.turn().map(Orientation::other)) : entry;
        if (entry.placement() instanceof Placement.Follow follow) {
            Tune tune = follow.tune();
            return lying.withPlacement(new Placement.Follow(
                    new Tune(-tune.dy(), tune.dx(), tune.zoom()),
                    follow.carry(),
                    follow.wish().map(Reorient::quarter),
                    follow.isAccepted()));
        }
        return lying;
    }

    private static Wish quarter(Wish wish) {
        return new Wish(quarter(wish.centre()), wish.size().swapped());
    }

    private static Point quarter(Point share) {
        return new Point(1 - share.y(), share.x());
    }

    private static Photo mirrored(Photo photo) {
        Photo turned = photo.withPreparation(photo.preparation().mirrored()).movingSubject(Subject::mirrored);
        for (Map.Entry<String, CropEntry> entry : photo.crops().entrySet()) {
            turned = turned.withEntry(entry.getKey(), moved(mirrored(entry.getValue()), Subject::mirrored));
        }
        return turned;
    }

    private static CropEntry mirrored(CropEntry entry) {
        if (entry.placement() instanceof Placement.Own own) {
            return entry.withPlacement(new Placement.Own(mirrored(own.wish())));
        }
        if (entry.placement() instanceof Placement.Follow follow) {
            Tune tune = follow.tune();
            return entry.withPlacement(new Placement.Follow(
                    new Tune(0 - tune.dx(), tune.dy(), tune.zoom()),
                    follow.carry(),
                    follow.wish().map(Reorient::mirrored),
                    follow.isAccepted()));
        }
        return entry;
    }

    private static Wish mirrored(Wish wish) {
        return wish.withCentre(mirrored(wish.centre()));
    }

    private static Point mirrored(Point share) {
        return new Point(1 - share.x(), share.y());
    }
}
