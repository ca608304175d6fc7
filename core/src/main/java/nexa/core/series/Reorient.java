package nexa.core.series;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import nexa.core.format.Format;
import nexa.core.format.FormatTurn;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Point;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.QuarterTurn;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Subject;
import nexa.core.shoot.Tune;
import nexa.core.shoot.Wish;

/**
 * Turns photos by quarters or mirrors them. What was said of them goes with the picture: an own crop shows the same part
 * of the scene afterwards, the subject stays on what it marked, a photo that leans keeps its level. A follower is worked
 * out anew. A lead stays one where its new orientation has none; else its followers keep their crops as their own.
 */
public enum Reorient {
    RIGHT,
    LEFT,
    HALF,
    MIRROR,
    /** Upside down as in still water: top and bottom change places. */
    MIRROR_DOWN;

    /** The shoot with these photos turned or mirrored. Those not read yet are left alone. */
    public Shoot apply(Shoot shoot, Set<String> files) {
        Set<String> leads = shoot.formats().stream()
                .flatMap(format -> format.leads().values().stream())
                .filter(files::contains)
                .collect(Collectors.toSet());
        // The leads first, one by one: who follows keeps the crop it has now, not one worked out anew.
        Shoot turned = shoot;
        for (String lead : leads) {
            if (turned.photo(lead).pixels().isPresent()) {
                turned = apply(turned, lead);
            }
        }
        List<Format> formats = turned.formats();
        return turned.withEach(
                files.stream().filter(file -> !leads.contains(file)).toList(),
                photo -> photo.pixels().isPresent() ? apply(photo, formats) : photo);
    }

    /** A photo that leads nowhere, with its crops. */
    Photo apply(Photo photo, List<Format> formats) {
        return switch (this) {
            case RIGHT -> quarter(photo, formats);
            case LEFT -> quarter(quarter(quarter(photo, formats), formats), formats);
            case HALF -> quarter(quarter(photo, formats), formats);
            case MIRROR -> mirrored(photo);
            case MIRROR_DOWN -> quarter(quarter(mirrored(photo), formats), formats);
        };
    }

    private Shoot apply(Shoot shoot, String file) {
        return switch (this) {
            case RIGHT -> quarter(shoot, file);
            case LEFT -> quarter(quarter(quarter(shoot, file), file), file);
            case HALF -> quarter(quarter(shoot, file), file);
            case MIRROR -> shoot.with(file, Reorient::mirrored);
            case MIRROR_DOWN -> quarter(quarter(shoot.with(file, Reorient::mirrored), file), file);
        };
    }

    /** A quarter clockwise. */
    private static Shoot quarter(Shoot shoot, String file) {
        Shoot ready = shoot;
        Orientation now = shoot.photo(file).size().orientation();
        boolean changesSides = quarter(shoot.photo(file)).size().orientation() != now;
        for (Format format : shoot.formats()) {
            boolean isTaken = changesSides
                    && file.equals(format.leads().get(now))
                    && format.leads().containsKey(now.other());
            if (isTaken) {
                ready = Leads.takeAway(ready, file, format.id());
            } else if (changesSides && file.equals(format.leads().get(now))) {
                Map<Orientation, String> leads = new EnumMap<>(Orientation.class);
                leads.put(now.other(), file);
                ready = Leads.withLeads(ready, ready.format(format.id()), leads);
            }
        }
        List<Format> formats = ready.formats();
        return ready.with(file, photo -> quarter(photo, formats));
    }

    /** The photo with its crops. */
    private static Photo quarter(Photo photo, List<Format> formats) {
        Photo turned = quarter(photo);
        for (Format format : formats) {
            if (photo.crops().containsKey(format.id())) {
                turned = turned.withEntry(format.id(), quarter(turned.entry(format.id()), turned, format));
            }
        }
        return turned;
    }

    /** The photo alone, its crops as they were. */
    private static Photo quarter(Photo photo) {
        // The quarter turn comes before mirroring, and a picture that is mirrored turns the other way.
        int way = photo.isMirrored() ? 270 : 90;
        QuarterTurn turn = QuarterTurn.of((photo.turn().degrees() + way) % 360);
        return photo.withTurn(turn, photo.isMirrored())
                .movingSubject(spot -> new Subject(quarter(spot.at()), spot.radius()));
    }

    private static CropEntry quarter(CropEntry entry, Photo turned, Format format) {
        if (entry.placement() instanceof Placement.Own own) {
            Wish wish = quarter(own.wish());
            Orientation lying = wish.in(turned.size()).size().orientation();
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
        Photo turned = photo.withTurn(photo.turn(), !photo.isMirrored())
                .withAngle(new Angle(0 - photo.angle().degrees()))
                .movingSubject(spot -> new Subject(mirrored(spot.at()), spot.radius()));
        for (Map.Entry<String, CropEntry> entry : photo.crops().entrySet()) {
            turned = turned.withEntry(entry.getKey(), mirrored(entry.getValue()));
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
