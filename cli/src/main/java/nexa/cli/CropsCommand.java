package nexa.cli;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import nexa.core.format.Format;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.message.EnumName;
import nexa.core.series.AskCheck;
import nexa.core.series.Crops;
import nexa.core.series.FillPlan;
import nexa.core.series.Passing;
import nexa.core.series.PhotoCrop;
import nexa.core.series.SureLevels;
import nexa.core.shoot.Photo;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Prints the crop of every photo in every format. */
@Command(name = "crops", description = "Prints every photo's crop in every format.", mixinStandardHelpOptions = true)
final class CropsCommand implements Callable<Integer> {
    private static final ObjectMapper JSON = new ObjectMapper().enable(SerializationFeature.INDENT_OUTPUT);

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "DIR", description = "The shoot's folder.")
    private Path folder;

    @Option(names = "--json", description = "Print JSON, lengths in pixels of the turned photo.")
    private boolean asJson;

    @Override
    public Integer call() throws Exception {
        OpenedShoot opened = OpenedShoot.open(folder);
        Crops crops = new Crops(opened.shoot());
        ArrayNode list = JSON.createArrayNode();
        for (Photo photo : opened.shoot().photos()) {
            for (Format format : opened.shoot().formats()) {
                boolean isUnreadable = opened.reading().problems().containsKey(photo.file());
                // A photo that is not there just now keeps the crops it has, as long as its size is known.
                if (photo.isCroppable()) {
                    add(list, crops.of(photo, format), isUnreadable);
                } else {
                    ObjectNode node = list.addObject();
                    node.put("file", photo.file())
                            .put("format", format.id())
                            .putArray("warnings")
                            .add(opened.whyNot(photo));
                }
            }
        }
        if (asJson) {
            spec.commandLine().getOut().println(JSON.writeValueAsString(list));
        }
        return opened.tellProblems(spec.commandLine().getErr()) ? NexaCommand.SOME_FAILED : NexaCommand.DONE;
    }

    private void add(ArrayNode list, PhotoCrop shown, boolean isUnreadable) {
        if (asJson) {
            put(list.addObject(), shown, isUnreadable);
        } else {
            print(shown);
        }
    }

    private void print(PhotoCrop shown) {
        Size size = shown.crop().size();
        spec.commandLine()
                .getOut()
                .printf(
                        Locale.ROOT,
                        "%s\t%s\t%s\t%.1f × %.1f px\t%.1f %% kept%n",
                        shown.photo().file(),
                        shown.format().id(),
                        EnumName.of(shown.state(), "-"),
                        size.width(),
                        size.height(),
                        100 * shown.kept());
    }

    private static void put(ObjectNode node, PhotoCrop shown, boolean isUnreadable) {
        Photo photo = shown.photo();
        Crop crop = shown.crop();
        node.put("file", photo.file());
        node.put("format", shown.format().id());
        node.put("state", EnumName.of(shown.state(), "-"));
        node.putArray("photo").add((int) photo.size().width()).add((int)
                photo.size().height());
        node.put("angle", photo.angle().degrees());
        putPair(node.putArray("centre"), crop.centre());
        putPair(
                node.putArray("size"),
                new Point(crop.size().width(), crop.size().height()));
        ArrayNode corners = node.putArray("corners");
        crop.corners(photo.angle()).forEach(corner -> putPair(corners.addArray(), corner));
        ArrayNode photoCorners = node.putArray("photoCorners");
        shown.photoCorners().forEach(corner -> putPair(photoCorners.addArray(), corner));
        Size effective = shown.effective();
        putPair(node.putArray("effective"), new Point(effective.width(), effective.height()));
        node.put("kept", shown.kept());
        putBeyond(node, shown);
        putAsked(node, shown);
        node.put("limited", shown.isLimited());
        node.putArray("output").add(shown.output().width()).add(shown.output().height());
        if (shown.ppi().isPresent()) {
            node.put("ppi", shown.ppi().getAsDouble());
        } else {
            node.putNull("ppi");
        }
        ArrayNode warnings = node.putArray("warnings");
        if (isUnreadable) {
            warnings.add(OpenedShoot.UNREADABLE);
        }
        shown.warnings().forEach(warning -> warnings.add(EnumName.of(warning, "-")));
    }

    /** Nothing is said of a crop that keeps to its photo. */
    private static void putBeyond(ObjectNode node, PhotoCrop shown) {
        FillPlan.of(shown).ifPresent(plan -> {
            ObjectNode beyond = node.putObject("beyond");
            beyond.put("share", shown.beyond());
            beyond.put("fill", EnumName.of(plan.fill()));
            Passing.of(plan).ifPresent(passing -> beyond.put("passing", EnumName.of(passing)));
        });
    }

    /** How it meets what its format asks; nothing of a format that asks nothing. Levels are not looked for here. */
    private static void putAsked(ObjectNode node, PhotoCrop shown) {
        List<AskCheck> checks = AskCheck.of(shown, SureLevels.NOT_LOOKED);
        if (!checks.isEmpty()) {
            ArrayNode asked = node.putArray("asked");
            checks.forEach(check -> AskPrinter.put(asked.addObject(), check));
        }
    }

    private static void putPair(ArrayNode array, Point pair) {
        array.add(pair.x()).add(pair.y());
    }
}
