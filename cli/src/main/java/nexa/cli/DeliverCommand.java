package nexa.cli;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.Format;
import nexa.core.format.Going;
import nexa.core.message.Message;
import nexa.core.message.Rejected;
import nexa.imaging.deliver.Delivery;
import nexa.imaging.deliver.DeliveryPlan;
import nexa.imaging.deliver.DeliveryProblem;
import nexa.store.user.KeptTerms;
import nexa.store.user.Preferences;
import nexa.store.user.UserData;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Delivers a shoot's files. */
@Command(name = "deliver", description = "Delivers the shoot's files.", mixinStandardHelpOptions = true)
final class DeliverCommand implements Callable<Integer> {
    /** Which photos go, by their marks. */
    enum Marked {
        SELECT,
        ALL
    }

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "DIR", description = "The shoot's folder.")
    private Path folder;

    @Option(names = "--to", paramLabel = "OUT", required = true, description = "Where to; made if it is not there.")
    private Path destination;

    @Option(
            names = "--format",
            paramLabel = "ID",
            description = "A format; again for more. All that go, if left out; needed where all wait.")
    private List<String> formats = new ArrayList<>();

    @Option(names = "--mark", defaultValue = "all", description = "select, or all but those marked out.")
    private Marked marked;

    @Option(names = "--done", description = "Only crops that are done.")
    private boolean onlyDone;

    @Option(names = "--keep-earlier", description = "Number new files instead of replacing what was delivered before.")
    private boolean keepsEarlier;

    @Option(names = "--no-camera-data", description = "Leave out what the camera noted.")
    private boolean leavesCameraData;

    @Option(
            names = "--maker-notes",
            description =
                    "Let all camera data go along, with the notes that only the camera's maker can read; places, and"
                            + " pictures of the whole photo, may be in them.")
    private boolean withMakerNotes;

    @Option(names = "--place", description = "Let the place where a photo was taken go along.")
    private boolean withPlace;

    @Option(names = "--copyright", paramLabel = "LINE", description = "A line written into every file.")
    private String copyright;

    @Option(names = "--creator", paramLabel = "NAME", description = "A name written into every file.")
    private String creator;

    @Option(names = "--no-list", description = "Put no list of all files beside them.")
    private boolean leavesList;

    @Option(names = "--json", description = "Print the files as JSON.")
    private boolean asJson;

    @Override
    public Integer call() throws Exception {
        OpenedShoot opened = OpenedShoot.open(folder);
        PrintWriter err = spec.commandLine().getErr();
        DeliveryTerms terms = terms();
        Set<String> going = chosenFormats(opened);
        DeliveryPlan plan = DeliveryPlan.of(
                opened.shoot(),
                opened.reading(),
                new DeliveryPlan.Choice(going, marked == Marked.SELECT, onlyDone),
                AskedLevels.of(opened, terms.list() ? going : Set.of(), err));
        Delivery.Result result = deliver(opened, plan, terms, err);
        print(result);
        result.failures().forEach(failure -> err.println(NexaCommand.WORDS.say(failure.reason())));
        result.anew().ifPresent(anew -> err.println(NexaCommand.WORDS.say(anew)));
        result.gaveUp().ifPresent(reason -> err.println(NexaCommand.WORDS.say(Message.of("cli.givenUp", reason))));
        result.unlisted().ifPresent(reason -> err.println(NexaCommand.WORDS.say(Message.of("cli.unlisted", reason))));
        boolean failed = opened.tellProblems(err)
                || !result.failures().isEmpty()
                || result.unlisted().isPresent();
        return failed ? NexaCommand.SOME_FAILED : NexaCommand.DONE;
    }

    private Set<String> chosenFormats(OpenedShoot opened) {
        List<Format> known = opened.shoot().formats();
        List<String> ids = known.stream().map(Format::id).toList();
        if (formats.isEmpty()) {
            Set<String> going =
                    known.stream().filter(Format::goes).map(Format::id).collect(Collectors.toSet());
            boolean waits = known.stream().anyMatch(format -> format.going() == Going.WAITS);
            if (going.isEmpty() && waits) {
                throw new ParameterException(spec.commandLine(), NexaCommand.WORDS.get("cli.allWait", ids));
            }
            return going;
        }
        for (String format : formats) {
            if (!ids.contains(format)) {
                throw new ParameterException(spec.commandLine(), NexaCommand.WORDS.get("cli.noFormat", format, ids));
            }
        }
        return new HashSet<>(formats);
    }

    /** The photographer's terms, as set in the window, but for what is said here. */
    private DeliveryTerms terms() {
        try (Preferences preferences = Preferences.load(UserData.ofThisUser())) {
            DeliveryTerms kept = KeptTerms.read(preferences);
            return kept.withReplacesOwn(kept.replacesOwn() && !keepsEarlier)
                    .withCameraData(kept.cameraData() && !leavesCameraData, kept.place() || withPlace)
                    .withMakerNotes(kept.makerNotes() || withMakerNotes)
                    .withLines(
                            Optional.ofNullable(copyright).orElse(kept.copyright()),
                            Optional.ofNullable(creator).orElse(kept.creator()))
                    .withList(kept.list() && !leavesList);
        } catch (Rejected e) {
            throw new ParameterException(spec.commandLine(), NexaCommand.WORDS.say(e), e);
        }
    }

    private Delivery.Result deliver(OpenedShoot opened, DeliveryPlan plan, DeliveryTerms terms, PrintWriter err)
            throws DeliveryProblem {
        Delivery delivery = new Delivery(
                plan, opened.photos(), destination, terms, NexaCommand.WORDS::say, new Delivery.Progress() {
                    @Override
                    public void advanced(int finished, int total, String name) {
                        err.println(NexaCommand.WORDS.get("cli.advanced", finished, total, name));
                    }

                    @Override
                    public void waits() {
                        err.println(NexaCommand.WORDS.get("cli.waits", destination));
                    }
                });
        return delivery.run(Runtime.getRuntime().availableProcessors());
    }

    private void print(Delivery.Result result) throws IOException {
        List<String> files = Stream.concat(result.written().stream(), result.kept().stream())
                .map(Path::toString)
                .sorted()
                .toList();
        PrintWriter out = spec.commandLine().getOut();
        if (asJson) {
            out.println(new ObjectMapper()
                    .enable(SerializationFeature.INDENT_OUTPUT)
                    .writeValueAsString(files));
        } else {
            files.forEach(out::println);
        }
    }
}
