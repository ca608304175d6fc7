package nexa.cli;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import nexa.core.format.Format;
import nexa.core.format.Going;
import nexa.core.message.EnumName;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.imaging.deliver.DeliveryCheck;
import nexa.imaging.deliver.DeliveryPlan;
import nexa.imaging.facts.ShootReading;
import nexa.imaging.pictures.PixelLook;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Lists what to know before the files of a shoot are delivered. */
@Command(
        name = "check",
        description = "Lists what needs a look before the files are delivered.",
        mixinStandardHelpOptions = true)
final class CheckCommand implements Callable<Integer> {
    private static final ObjectMapper JSON = new ObjectMapper().enable(SerializationFeature.INDENT_OUTPUT);

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "DIR", description = "The shoot's folder.")
    private Path folder;

    @Option(names = "--json", description = "Print JSON: an object a finding, with file, format and finding.")
    private boolean asJson;

    @Override
    public Integer call() throws Exception {
        OpenedShoot opened = OpenedShoot.open(folder);
        Set<String> going = formats(opened.shoot());
        DeliveryPlan plan = DeliveryPlan.of(
                opened.shoot(),
                opened.reading(),
                new DeliveryPlan.Choice(going, false, false),
                AskedLevels.of(opened, going, spec.commandLine().getErr()));
        List<DeliveryCheck.Finding> findings = DeliveryCheck.of(opened.shoot(), looked(opened, plan), plan);
        PrintWriter out = spec.commandLine().getOut();
        if (asJson) {
            ArrayNode list = JSON.createArrayNode();
            findings.forEach(finding -> {
                ObjectNode node = list.addObject()
                        .put("file", finding.file())
                        .put("format", finding.format())
                        .put("finding", EnumName.of(finding.kind(), "-"));
                finding.check().ifPresent(check -> AskPrinter.put(node, check));
            });
            out.println(JSON.writeValueAsString(list));
        } else {
            findings.forEach(finding ->
                    out.println(finding.file() + "\t" + finding.format() + "\t" + EnumName.of(finding.kind(), "-")
                            + finding.check()
                                    .map(check -> "\t" + AskPrinter.line(check))
                                    .orElse("")));
        }
        opened.tellProblems(spec.commandLine().getErr());
        return findings.isEmpty() ? NexaCommand.DONE : NexaCommand.SOME_FAILED;
    }

    /** What is known of the photos that go once their pixels were looked at. */
    private ShootReading looked(OpenedShoot opened, DeliveryPlan plan) {
        List<Format> formats =
                plan.files().stream().map(DeliveryPlan.Item::format).distinct().toList();
        List<Photo> wanted =
                PixelLook.wanted(plan.files().stream().map(DeliveryPlan.Item::photo), opened.reading(), formats);
        if (!wanted.isEmpty()) {
            spec.commandLine().getErr().println(NexaCommand.WORDS.get("cli.looking", wanted.size()));
        }
        return PixelLook.of(opened.photos(), wanted, opened.reading(), formats);
    }

    /** The formats that go; where all wait, those that may. */
    private static Set<String> formats(Shoot shoot) {
        boolean goes = shoot.formats().stream().anyMatch(Format::goes);
        return shoot.formats().stream()
                .filter(format -> format.going() == (goes ? Going.GOES : Going.WAITS))
                .map(Format::id)
                .collect(Collectors.toSet());
    }
}
