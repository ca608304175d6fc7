package nexa.imaging.deliver;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import nexa.core.format.DeliveredFile;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.message.EnumName;
import nexa.core.series.AskCheck;
import nexa.core.series.FillPlan;
import nexa.core.series.Passing;
import nexa.files.TemporaryFile;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** The list of all files of a delivery, as comma-separated values (RFC 4180). */
final class DeliveryList {
    /** The list's name in the destination. */
    static final String NAME = "nexa-files.csv";

    private static final String[] HEADS = {
        "file",
        "source",
        "format",
        "what",
        "left",
        "top",
        "width",
        "height",
        "angle",
        "pixels across",
        "pixels down",
        "ppi",
        "warnings",
        "beyond",
        "fill",
        "passing",
        "pixels",
        "look",
        "asked"
    };

    /**
     * One line.
     *
     * @param file the file's name inside the destination; where there is none, the name it would have had
     * @param what written, kept from before, or why it failed, in words
     * @param pixels whose pixels it has, in words
     * @param look see {@link PixelOrigin#differenceWords}
     */
    record Line(DeliveryPlan.Item item, String file, String what, String pixels, String look) {}

    private DeliveryList() {}

    /**
     * Writes the list in place of the one of an earlier delivery of the same photos. Any other file of its name is left, and
     * the list numbered.
     */
    static void write(Path destination, List<Line> lines, DeliveredFiles delivered) throws IOException {
        byte[] contents = text(lines).getBytes(StandardCharsets.UTF_8);
        try (TemporaryFile written = TemporaryFile.toDeliver(destination, contents)) {
            Path list = place(destination, delivered);
            DeliveredFile line = delivered.line(NAME, list, digest(contents), written, PixelOrigin.UNKNOWN);
            delivered.note(line);
            written.replaceAnyway(list);
            delivered.note(line.at(DeliveredFile.Phase.DONE));
        }
    }

    private static Path place(Path destination, DeliveredFiles delivered) throws IOException {
        // A list that somebody has written into is theirs, though it be as long as before.
        Optional<DeliveredFiles.Delivered> earlier = delivered.own(NAME, "");
        if (earlier.isPresent()
                && earlier.get()
                        .isMadeOf(digest(Files.readAllBytes(earlier.get().path())))) {
            return earlier.get().path();
        }
        Path free = destination.resolve(NAME);
        for (int i = 2; Files.exists(free, LinkOption.NOFOLLOW_LINKS); i++) {
            free = destination.resolve(NAME.replace(".", "-" + i + "."));
        }
        return free;
    }

    private static String digest(byte[] contents) {
        return UUID.nameUUIDFromBytes(contents).toString();
    }

    private static String text(List<Line> lines) throws IOException {
        StringBuilder text = new StringBuilder();
        CSVFormat format = CSVFormat.RFC4180.builder().setHeader(HEADS).get();
        try (CSVPrinter printer = new CSVPrinter(text, format)) {
            for (Line line :
                    lines.stream().sorted(Comparator.comparing(Line::file)).toList()) {
                printer.printRecord(cells(line));
            }
        }
        return text.toString();
    }

    private static List<Object> cells(Line line) {
        DeliveryPlan.Item item = line.item();
        Crop crop = item.crop().crop();
        Point corner = crop.at(0, 0, item.photo().angle());
        String warnings = item.crop().warnings().stream()
                .map(warning -> EnumName.of(warning, " "))
                .collect(Collectors.joining("; "));
        Optional<FillPlan> plan = FillPlan.of(item.crop());
        return List.of(
                plain(line.file()),
                plain(item.photo().file()),
                plain(item.format().name()),
                plain(line.what()),
                number(corner.x()),
                number(corner.y()),
                number(crop.size().width()),
                number(crop.size().height()),
                number(item.photo().angle().degrees()),
                item.crop().output().width(),
                item.crop().output().height(),
                item.crop().ppi().isPresent() ? number(item.crop().ppi().getAsDouble()) : "",
                warnings,
                String.format(Locale.ROOT, "%.4f", item.crop().beyond()),
                plan.map(one -> EnumName.of(one.fill(), " ")).orElse(""),
                plan.flatMap(Passing::of)
                        .map(passing -> EnumName.of(passing, " "))
                        .orElse(""),
                line.pixels(),
                line.look(),
                asked(item));
    }

    /** How the crop meets what its format asks; nothing where that asks nothing. */
    private static String asked(DeliveryPlan.Item item) {
        if (item.asked().isEmpty()) {
            return "";
        }
        String off = item.asked().stream()
                .filter(check -> check.outcome() != AskCheck.Outcome.MET)
                .map(DeliveryList::told)
                .collect(Collectors.joining("; "));
        return off.isEmpty() ? EnumName.of(AskCheck.Outcome.MET) : off;
    }

    private static String told(AskCheck check) {
        String ask = EnumName.of(check.ask(), " ");
        String how = check.outcome().isKnown()
                ? check.measured().stream()
                        .map(measured -> String.format(Locale.ROOT, "%.3f", measured))
                        .collect(Collectors.joining(" "))
                : EnumName.of(check.outcome(), " ");
        return ask + " " + how;
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.2f", value);
    }

    /** What a spreadsheet would take for a formula gets an apostrophe before it. */
    private static String plain(String text) {
        return text.matches("^[=+@\\-\\t\\r].*") ? "'" + text : text;
    }
}
