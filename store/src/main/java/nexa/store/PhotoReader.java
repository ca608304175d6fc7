package nexa.store;

import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shoot.Beyond;
import nexa.core.shoot.Carry;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.FileIdentity;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Tune;
import nexa.core.shoot.Wish;

/** Reads a photo, and the crops that are wished for it, from its object in the document. */
final class PhotoReader {
    /** The states a crop entry can be in. */
    private enum State {
        OWN,
        FOLLOW
    }

    private PhotoReader() {}

    /** @param formats the ids of the formats; crops in others are passed over */
    static Photo read(JsonPlace place, Set<String> formats) throws JsonPlace.Misfit {
        JsonPlace named = place.required("file");
        String file = inside(named);
        Photo photo = named.make(() -> Photo.untouched(file));
        Optional<JsonPlace> subject = place.optional("subject");
        boolean hasNoSubject = subject.isPresent() && subject.get().isNull();
        return new Photo(
                photo.file(),
                place.ifThere("raw", PhotoReader::inside),
                place.ifThere("pixels", PhotoReader::pixels),
                place.ifThere("identity", PhotoReader::identity),
                Optional.empty(),
                PreparationJson.read(place),
                place.optional("mark", Mark.OPEN, at -> at.oneOf(Mark.class)),
                hasNoSubject ? Optional.empty() : place.ifThere("subject", SubjectJson::read),
                hasNoSubject,
                place.optional("crops", Map.of(), at -> crops(at, formats)));
    }

    private static String inside(JsonPlace named) throws JsonPlace.Misfit {
        if (!isInside(named.text())) {
            throw named.misfit("misfit.outside", named.text());
        }
        return named.text();
    }

    /** Whether a file name, with / between its parts, stays inside the folder it is resolved against. */
    private static boolean isInside(String file) {
        for (String part : file.split("/", -1)) {
            if (part.isEmpty()
                    || part.equals(".")
                    || part.equals("..")
                    || part.contains("\\..")
                    || part.startsWith("..\\")) {
                return false;
            }
        }
        return file.indexOf('\0') < 0;
    }

    private static PixelSize pixels(JsonPlace place) throws JsonPlace.Misfit {
        List<JsonPlace> pair = place.list(2);
        int width = pair.get(0).whole();
        int height = pair.get(1).whole();
        return place.make(() -> new PixelSize(width, height));
    }

    private static FileIdentity identity(JsonPlace place) throws JsonPlace.Misfit {
        long length = place.required("bytes").count();
        String digest = place.required("digest").text();
        return place.make(() -> new FileIdentity(length, digest));
    }

    private static Point point(JsonPlace place) throws JsonPlace.Misfit {
        List<JsonPlace> pair = place.list(2);
        return new Point(pair.get(0).number(), pair.get(1).number());
    }

    private static Map<String, CropEntry> crops(JsonPlace place, Set<String> formats) throws JsonPlace.Misfit {
        Map<String, CropEntry> crops = new LinkedHashMap<>();
        for (String format : place.names()) {
            if (formats.contains(format)) {
                crops.put(format, crop(place.required(format)));
            }
        }
        return crops;
    }

    private static CropEntry crop(JsonPlace place) throws JsonPlace.Misfit {
        Optional<Orientation> turn = place.ifThere("turn", at -> at.oneOf(Orientation.class));
        boolean isDone = place.optional("done", false, JsonPlace::flag);
        Optional<Boolean> reaches = place.ifThere("reaches", JsonPlace::flag);
        Beyond beyond = place.optional("beyond", Beyond.USUAL, BeyondJson::read);
        return new CropEntry(placement(place), turn, isDone, reaches, beyond);
    }

    private static Placement placement(JsonPlace place) throws JsonPlace.Misfit {
        Optional<State> state = place.ifThere("state", at -> at.oneOf(State.class));
        boolean hasWish = place.has("centre") || place.has("size");
        Tune tune = place.optional("tune", Tune.NONE, PhotoReader::tune);
        Set<Carry> carry = place.optional("carry", EnumSet.allOf(Carry.class), PhotoReader::carry);
        boolean isAccepted = place.optional("accepted", false, JsonPlace::flag);
        if (state.isEmpty()) {
            if (hasWish || place.has("tune") || place.has("carry")) {
                throw place.misfit("misfit.lacks", "state");
            }
            return Placement.UNTOUCHED;
        }
        if (state.get() == State.OWN) {
            return new Placement.Own(wish(place));
        }
        Optional<Wish> own = hasWish ? Optional.of(wish(place)) : Optional.empty();
        return new Placement.Follow(tune, carry, own, isAccepted);
    }

    private static Wish wish(JsonPlace place) throws JsonPlace.Misfit {
        Point at = point(place.required("centre"));
        Point sides = point(place.required("size"));
        return place.make(() -> new Wish(at, new Size(sides.x(), sides.y())));
    }

    private static Tune tune(JsonPlace place) throws JsonPlace.Misfit {
        double dx = place.optional("dx", 0.0, JsonPlace::number);
        double dy = place.optional("dy", 0.0, JsonPlace::number);
        double zoom = place.optional("zoom", 1.0, JsonPlace::number);
        return place.make(() -> new Tune(dx, dy, zoom));
    }

    private static Set<Carry> carry(JsonPlace place) throws JsonPlace.Misfit {
        Set<Carry> carry = EnumSet.noneOf(Carry.class);
        for (JsonPlace one : place.list()) {
            carry.add(one.oneOf(Carry.class));
        }
        return carry;
    }
}
