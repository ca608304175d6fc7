package nexa.store.document;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.BooleanNode;
import com.fasterxml.jackson.databind.node.DoubleNode;
import com.fasterxml.jackson.databind.node.IntNode;
import com.fasterxml.jackson.databind.node.TextNode;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import nexa.core.format.Asks;
import nexa.core.format.FileSpec;
import nexa.core.format.Format;
import nexa.core.format.FormatTurn;
import nexa.core.format.Going;
import nexa.core.format.LengthUnit;
import nexa.core.format.NamePattern;
import nexa.core.format.OutputSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Orientation;
import nexa.core.message.EnumName;
import nexa.store.json.Codec;
import nexa.store.json.Field;
import nexa.store.json.Json;
import nexa.store.json.JsonPlace;
import nexa.store.json.ObjectCodec;
import nexa.store.json.ValidationError;

/** A format. */
final class FormatCodec {
    /** Said of a format that {@linkplain Going#WAITS waits}. */
    private static final String WAITS = "waits";

    /** How JPEG's ways of keeping colour are known everywhere. */
    private static final String FULL_COLOUR = "4:4:4";

    private static final String HALF_COLOUR = "4:2:0";

    private static final Codec<FileSpec.Sampling> SAMPLING = Codec.of(
            FormatCodec::sampling,
            sampling -> TextNode.valueOf(sampling == FileSpec.Sampling.HALF ? HALF_COLOUR : FULL_COLOUR));
    private static final Codec<FileSpec.Depth> DEPTH =
            Codec.of(FormatCodec::depth, depth -> IntNode.valueOf(depth == FileSpec.Depth.EIGHT ? 8 : 16));
    private static final Codec<Number> LENGTH = Codec.of(
            JsonPlace::number,
            length -> length instanceof Integer whole
                    ? IntNode.valueOf(whole)
                    : DoubleNode.valueOf(length.doubleValue()));
    private static final ObjectCodec<OutputSize> OUTPUT_SIZE = new ObjectCodec<>(
            FormatCodec::size,
            Field.optional("width", LENGTH, size -> sides(size).map(Sides::width)),
            Field.optional("height", LENGTH, size -> sides(size).map(Sides::height)),
            Field.optional("longEdge", LENGTH, FormatCodec::longEdge),
            Field.required("unit", Json.TEXT, FormatCodec::unit),
            Field.optional("ppi", LENGTH, FormatCodec::ppi));
    private static final Field<Map<Orientation, String>, Optional<String>> WIDE = lead(Orientation.WIDE);
    private static final Field<Map<Orientation, String>, Optional<String>> TALL = lead(Orientation.TALL);
    private static final Field<Format.Tolerance, Double> TIGHTNESS =
            Field.usually("tightness", Format.Tolerance.USUAL.tightness(), Json.NUMBER, Format.Tolerance::tightness);
    private static final Field<Format.Tolerance, Double> POSITION =
            Field.usually("position", Format.Tolerance.USUAL.position(), Json.NUMBER, Format.Tolerance::position);

    private static final Field<Format, String> ID = Field.required("id", Json.TEXT, Format::id);
    private static final Field<Format, String> NAME = Field.required("name", Json.TEXT, Format::name);
    private static final Field<Format, Ratio> RATIO = Field.required("ratio", Json.said(Ratio::parse), Format::ratio);
    private static final Field<Format, FormatTurn> TURN =
            Field.usually("turn", FormatTurn.PHOTO, Json.oneOf(FormatTurn.class), Format::turn);
    private static final Field<Format, OutputSize> SIZE =
            Field.unless("size", new OutputSize.AsCropped(), OUTPUT_SIZE, Format::size);
    private static final Field<Format, Map<Orientation, String>> LEADS = Field.unless(
                    "leads", Map.of(), new ObjectCodec<>(FormatCodec::leads, WIDE, TALL), Format::leads)
            .orBare();
    private static final Field<Format, Format.Tolerance> TOLERANCE = Field.usually(
            "tolerance",
            Format.Tolerance.USUAL,
            new ObjectCodec<>(at -> new Format.Tolerance(TIGHTNESS.in(at), POSITION.in(at)), TIGHTNESS, POSITION),
            Format::tolerance);
    private static final Field<Format, Going> GOES =
            Field.usually("goes", Going.GOES, Codec.of(FormatCodec::going, FormatCodec::written), Format::going);
    private static final Field<Format, Boolean> REACHES = Field.unless("reaches", false, Json.FLAG, Format::reaches);

    private static final Field<Format, Asks> ASKS =
            Field.unless("asks", Asks.NONE, AsksCodec.ASKS, Format::asks).orBare();

    static final ObjectCodec<Format> FORMAT = new ObjectCodec<>(
            FormatCodec::read,
            ID,
            NAME,
            RATIO,
            TURN,
            SIZE,
            LEADS,
            TOLERANCE,
            GOES,
            REACHES,
            file(FileSpec.usual("")),
            ASKS);

    private FormatCodec() {}

    private static Format read(JsonPlace at) throws ValidationError {
        String id = ID.in(at);
        return new Format(
                id,
                NAME.in(at),
                RATIO.in(at),
                TURN.in(at),
                SIZE.in(at),
                LEADS.in(at),
                TOLERANCE.in(at),
                GOES.in(at),
                file(FileSpec.usual(NamePattern.clean(id))).in(at),
                REACHES.in(at),
                ASKS.in(at));
    }

    private static Going going(JsonPlace place) throws ValidationError {
        if (place.says(WAITS)) {
            return Going.WAITS;
        }
        if (!place.isFlag()) {
            throw place.misfit("misfit.going", WAITS);
        }
        return place.flag() ? Going.GOES : Going.STAYS;
    }

    private static JsonNode written(Going going) {
        return going == Going.WAITS ? TextNode.valueOf(WAITS) : BooleanNode.valueOf(going == Going.GOES);
    }

    private static Field<Map<Orientation, String>, Optional<String>> lead(Orientation lying) {
        return Field.optional(EnumName.of(lying), Json.TEXT, leads -> Optional.ofNullable(leads.get(lying)));
    }

    private static Map<Orientation, String> leads(JsonPlace at) throws ValidationError {
        Map<Orientation, String> leads = new EnumMap<>(Orientation.class);
        WIDE.in(at).ifPresent(lead -> leads.put(Orientation.WIDE, lead));
        TALL.in(at).ifPresent(lead -> leads.put(Orientation.TALL, lead));
        return leads;
    }

    private static OutputSize size(JsonPlace place) throws ValidationError {
        JsonPlace unit = place.required("unit");
        if (unit.says("px")) {
            return place.has("longEdge")
                    ? new OutputSize.LongEdge(place.required("longEdge").whole())
                    : new OutputSize.Pixels(
                            place.required("width").whole(),
                            place.required("height").whole());
        }
        if (!Set.of("cm", "mm", "in").contains(unit.text())) {
            throw unit.misfit("misfit.unit", unit.text());
        }
        return new OutputSize.Print(
                place.required("width").number(),
                place.required("height").number(),
                unit.oneOf(LengthUnit.class),
                place.required("ppi").number());
    }

    private record Sides(Number width, Number height) {}

    private static Optional<Sides> sides(OutputSize size) {
        if (size instanceof OutputSize.Pixels pixels) {
            return Optional.of(new Sides(pixels.width(), pixels.height()));
        }
        return size instanceof OutputSize.Print print
                ? Optional.of(new Sides(print.width(), print.height()))
                : Optional.empty();
    }

    private static Optional<Number> longEdge(OutputSize size) {
        return size instanceof OutputSize.LongEdge edge ? Optional.of(edge.pixels()) : Optional.empty();
    }

    private static String unit(OutputSize size) {
        return size instanceof OutputSize.Print print ? EnumName.of(print.unit()) : "px";
    }

    private static Optional<Number> ppi(OutputSize size) {
        return size instanceof OutputSize.Print print ? Optional.of(print.ppi()) : Optional.empty();
    }

    private static FileSpec.Sampling sampling(JsonPlace place) throws ValidationError {
        return switch (place.text()) {
            case FULL_COLOUR -> FileSpec.Sampling.FULL;
            case HALF_COLOUR -> FileSpec.Sampling.HALF;
            default -> throw place.misfit("misfit.sampling", FULL_COLOUR, HALF_COLOUR);
        };
    }

    private static FileSpec.Depth depth(JsonPlace place) throws ValidationError {
        return switch (place.whole()) {
            case 8 -> FileSpec.Depth.EIGHT;
            case 16 -> FileSpec.Depth.SIXTEEN;
            default -> throw place.misfit("misfit.depth");
        };
    }

    /** @param usual what counts where nothing is said */
    private static Field<Format, FileSpec> file(FileSpec usual) {
        Field<FileSpec, FileSpec.Type> type =
                Field.usually("type", usual.type(), Json.oneOf(FileSpec.Type.class), FileSpec::type);
        Field<FileSpec, Integer> quality = Field.usually("quality", usual.quality(), Json.WHOLE, FileSpec::quality);
        Field<FileSpec, FileSpec.Sampling> sampling =
                Field.unless("sampling", usual.sampling(), SAMPLING, FileSpec::sampling);
        Field<FileSpec, FileSpec.Depth> depth = Field.unless("depth", usual.depth(), DEPTH, FileSpec::depth);
        Field<FileSpec, FileSpec.Colour> colour =
                Field.usually("colour", usual.colour(), Json.oneOf(FileSpec.Colour.class), FileSpec::colour);
        Field<FileSpec, Boolean> enlarge = Field.unless("enlarge", true, Json.FLAG, FileSpec::enlarges);
        Field<FileSpec, FileSpec.Source> pixels =
                Field.unless("pixels", usual.source(), Json.oneOf(FileSpec.Source.class), FileSpec::source);
        Field<FileSpec, String> folder = Field.usually("folder", usual.folder(), Json.TEXT, FileSpec::folder);
        Field<FileSpec, String> name = Field.usually("name", usual.name(), Json.TEXT, FileSpec::name);
        ObjectCodec<FileSpec> codec = new ObjectCodec<>(
                at -> new FileSpec(
                        type.in(at),
                        quality.in(at),
                        sampling.in(at),
                        depth.in(at),
                        colour.in(at),
                        enlarge.in(at),
                        pixels.in(at),
                        folder.in(at),
                        name.in(at)),
                type,
                quality,
                sampling,
                depth,
                colour,
                enlarge,
                pixels,
                folder,
                name);
        return Field.usually("file", usual, codec, Format::file);
    }
}
