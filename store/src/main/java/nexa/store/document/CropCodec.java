package nexa.store.document;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.message.EnumName;
import nexa.core.shoot.Beyond;
import nexa.core.shoot.Carry;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Tune;
import nexa.core.shoot.Wish;
import nexa.store.json.Codec;
import nexa.store.json.Field;
import nexa.store.json.Json;
import nexa.store.json.JsonPlace;
import nexa.store.json.ObjectCodec;
import nexa.store.json.ValidationError;

/** The crop that is wished for of a photo in a format. */
final class CropCodec implements Codec<CropEntry> {
    /** The states a crop entry can be in. */
    private enum State {
        OWN,
        FOLLOW
    }

    private static final Set<Carry> ALL = Set.of(Carry.values());
    private static final String CENTRE = "centre";
    private static final String SIZE = "size";

    private static final Field<Tune, Double> DX = Field.usually("dx", 0.0, Json.NUMBER, Tune::dx);
    private static final Field<Tune, Double> DY = Field.usually("dy", 0.0, Json.NUMBER, Tune::dy);
    private static final Field<Tune, Double> ZOOM = Field.usually("zoom", 1.0, Json.NUMBER, Tune::zoom);

    private static final Field<CropEntry, Optional<State>> STATE =
            Field.optional("state", Json.oneOf(State.class), CropCodec::state);
    private static final Field<CropEntry, Tune> TUNE = Field.unless(
                    "tune",
                    Tune.NONE,
                    new ObjectCodec<>(at -> new Tune(DX.in(at), DY.in(at), ZOOM.in(at)), DX, DY, ZOOM),
                    (CropEntry entry) ->
                            follow(entry).map(Placement.Follow::tune).orElse(Tune.NONE))
            .orBare();
    private static final Field<CropEntry, Set<Carry>> CARRY = Field.unless(
            "carry",
            ALL,
            Json.oneOf(Carry.class)
                    .list()
                    .as(Set::copyOf, carry -> carry.stream().sorted().toList()),
            entry -> follow(entry).map(Placement.Follow::carry).orElse(ALL));
    private static final Field<CropEntry, Boolean> ACCEPTED = Field.unless(
            "accepted",
            false,
            Json.FLAG,
            entry -> follow(entry).filter(Placement.Follow::isAccepted).isPresent());
    private static final Field<CropEntry, Optional<Orientation>> TURN =
            Field.optional("turn", Json.oneOf(Orientation.class), CropEntry::turn);
    private static final Field<CropEntry, Boolean> DONE = Field.unless("done", false, Json.FLAG, CropEntry::isDone);
    private static final Field<CropEntry, Optional<Boolean>> REACHES =
            Field.optional("reaches", Json.FLAG, CropEntry::reaches);
    private static final Field<CropEntry, Beyond> BEYOND = Field.unless(
                    "beyond", Beyond.USUAL, BeyondCodec.BEYOND, CropEntry::beyond)
            .orBare();

    private static final ObjectCodec<CropEntry> FOLLOWER = new ObjectCodec<>(
            at -> new CropEntry(placement(at), TURN.in(at), DONE.in(at), REACHES.in(at), BEYOND.in(at)),
            STATE,
            Field.optional(CENTRE, Json.POINT, entry -> wish(entry).map(Wish::centre)),
            Field.optional(SIZE, Json.POINT, entry -> wish(entry).map(CropCodec::sides)),
            TUNE,
            CARRY,
            ACCEPTED,
            TURN,
            DONE,
            REACHES,
            BEYOND);

    /** Of a crop that does not follow: of it, what says something of followers alone says nothing that is known. */
    private static final ObjectCodec<CropEntry> ON_ITS_OWN = FOLLOWER.without("tune", "carry", "accepted");

    /** What cannot be said of a crop without a state. */
    private static final List<String> NOT_WITHOUT_STATE = List.of(CENTRE, SIZE, "tune", "carry");

    @Override
    public CropEntry read(JsonPlace place) throws ValidationError {
        return FOLLOWER.read(place);
    }

    /** What only followers have means nothing of a crop that is none, and stays with it as long as it is none. */
    @Override
    public ObjectNode write(CropEntry entry, JsonNode earlier) {
        String state = state(entry).map(EnumName::of).orElse("");
        boolean stays =
                follow(entry).isEmpty() && state.equals(earlier.path("state").asText());
        ObjectNode written = (stays ? ON_ITS_OWN : FOLLOWER).write(entry, earlier);
        return state.isEmpty() ? written.without(NOT_WITHOUT_STATE) : written;
    }

    private static Optional<State> state(CropEntry entry) {
        if (entry.placement() instanceof Placement.Own) {
            return Optional.of(State.OWN);
        }
        return follow(entry).map(follow -> State.FOLLOW);
    }

    private static Optional<Placement.Follow> follow(CropEntry entry) {
        return entry.placement() instanceof Placement.Follow follow ? Optional.of(follow) : Optional.empty();
    }

    private static Optional<Wish> wish(CropEntry entry) {
        return entry.placement() instanceof Placement.Own own
                ? Optional.of(own.wish())
                : follow(entry).flatMap(Placement.Follow::wish);
    }

    private static Point sides(Wish wish) {
        return new Point(wish.size().width(), wish.size().height());
    }

    private static Placement placement(JsonPlace at) throws ValidationError {
        Optional<State> state = STATE.in(at);
        boolean hasWish = at.has(CENTRE) || at.has(SIZE);
        Tune tune = TUNE.in(at);
        Set<Carry> carry = CARRY.in(at);
        boolean isAccepted = ACCEPTED.in(at);
        if (state.isEmpty()) {
            if (hasWish || at.has("tune") || at.has("carry")) {
                throw at.misfit("misfit.lacks", "state");
            }
            return Placement.UNTOUCHED;
        }
        if (state.get() == State.OWN) {
            return new Placement.Own(wish(at));
        }
        return new Placement.Follow(tune, carry, hasWish ? Optional.of(wish(at)) : Optional.empty(), isAccepted);
    }

    private static Wish wish(JsonPlace at) throws ValidationError {
        Point centre = Json.POINT.read(at.required(CENTRE));
        Point sides = Json.POINT.read(at.required(SIZE));
        return new Wish(centre, new Size(sides.x(), sides.y()));
    }
}
