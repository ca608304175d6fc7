package nexa.store;

import java.util.EnumMap;
import java.util.Map;
import java.util.Set;
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

/** Reads a format from its object in the document. */
final class FormatReader {
    private FormatReader() {}

    static Format read(JsonPlace place) throws JsonPlace.Misfit {
        String id = place.required("id").text();
        String name = place.required("name").text();
        Ratio ratio = place.required("ratio").as(Ratio::parse);
        FormatTurn turn = place.optional("turn", FormatTurn.PHOTO, at -> at.oneOf(FormatTurn.class));
        OutputSize size = place.optional("size", new OutputSize.AsCropped(), FormatReader::size);
        Map<Orientation, String> leads = place.optional("leads", Map.of(), FormatReader::leads);
        Format.Tolerance tolerance = place.optional("tolerance", Format.Tolerance.USUAL, FormatReader::tolerance);
        Going going = place.optional("goes", Going.GOES, FormatReader::going);
        FileSpec usual = FileSpec.usual(NamePattern.clean(id));
        FileSpec file = place.optional("file", usual, at -> file(at, usual));
        boolean reaches = place.optional("reaches", false, JsonPlace::flag);
        return place.make(() -> new Format(id, name, ratio, turn, size, leads, tolerance, going, file, reaches));
    }

    private static Going going(JsonPlace place) throws JsonPlace.Misfit {
        if (place.says(DocumentFields.WAITS)) {
            return Going.WAITS;
        }
        if (!place.isFlag()) {
            throw place.misfit("misfit.going", DocumentFields.WAITS);
        }
        return place.flag() ? Going.GOES : Going.STAYS;
    }

    private static OutputSize size(JsonPlace place) throws JsonPlace.Misfit {
        String unit = place.required("unit").text();
        if (unit.equals("px")) {
            return sizeInPixels(place);
        }
        if (!Set.of("cm", "mm", "in").contains(unit)) {
            throw place.required("unit").misfit("misfit.unit", unit);
        }
        double width = place.required("width").number();
        double height = place.required("height").number();
        LengthUnit length = place.required("unit").oneOf(LengthUnit.class);
        double ppi = place.required("ppi").number();
        return place.make(() -> new OutputSize.Print(width, height, length, ppi));
    }

    private static OutputSize sizeInPixels(JsonPlace place) throws JsonPlace.Misfit {
        if (place.has("longEdge")) {
            int pixels = place.required("longEdge").whole();
            return place.make(() -> new OutputSize.LongEdge(pixels));
        }
        int width = place.required("width").whole();
        int height = place.required("height").whole();
        return place.make(() -> new OutputSize.Pixels(width, height));
    }

    private static Map<Orientation, String> leads(JsonPlace place) throws JsonPlace.Misfit {
        Map<Orientation, String> leads = new EnumMap<>(Orientation.class);
        for (Orientation orientation : Orientation.values()) {
            place.ifThere(EnumName.of(orientation), JsonPlace::text).ifPresent(lead -> leads.put(orientation, lead));
        }
        return leads;
    }

    private static Format.Tolerance tolerance(JsonPlace place) throws JsonPlace.Misfit {
        Format.Tolerance usual = Format.Tolerance.USUAL;
        double tightness = place.optional("tightness", usual.tightness(), JsonPlace::number);
        double position = place.optional("position", usual.position(), JsonPlace::number);
        return place.make(() -> new Format.Tolerance(tightness, position));
    }

    private static FileSpec file(JsonPlace place, FileSpec usual) throws JsonPlace.Misfit {
        FileSpec.Type type = place.optional("type", usual.type(), at -> at.oneOf(FileSpec.Type.class));
        int quality = place.optional("quality", usual.quality(), JsonPlace::whole);
        FileSpec.Colour colour = place.optional("colour", usual.colour(), at -> at.oneOf(FileSpec.Colour.class));
        String folder = place.optional("folder", usual.folder(), JsonPlace::text);
        String name = place.optional("name", usual.name(), JsonPlace::text);
        FileSpec.Sampling sampling = place.optional("sampling", usual.sampling(), FormatReader::sampling);
        FileSpec.Depth depth = place.optional("depth", usual.depth(), FormatReader::depth);
        boolean enlarges = place.optional("enlarge", true, JsonPlace::flag);
        FileSpec.Source source = place.optional("pixels", usual.source(), at -> at.oneOf(FileSpec.Source.class));
        return place.make(() -> new FileSpec(type, quality, sampling, depth, colour, enlarges, source, folder, name));
    }

    private static FileSpec.Sampling sampling(JsonPlace place) throws JsonPlace.Misfit {
        return switch (place.text()) {
            case DocumentFields.FULL_COLOUR -> FileSpec.Sampling.FULL;
            case DocumentFields.HALF_COLOUR -> FileSpec.Sampling.HALF;
            default -> throw place.misfit("misfit.sampling", DocumentFields.FULL_COLOUR, DocumentFields.HALF_COLOUR);
        };
    }

    private static FileSpec.Depth depth(JsonPlace place) throws JsonPlace.Misfit {
        return switch (place.whole()) {
            case 8 -> FileSpec.Depth.EIGHT;
            case 16 -> FileSpec.Depth.SIXTEEN;
            default -> throw place.misfit("misfit.depth");
        };
    }
}
