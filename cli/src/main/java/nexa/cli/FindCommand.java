package nexa.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import nexa.core.find.Found;
import nexa.core.find.FoundLevel;
import nexa.core.find.FoundSubject;
import nexa.core.find.FoundTrim;
import nexa.core.find.TakeFound;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.imaging.decode.PhotoProblem;
import nexa.store.document.ShootProblem;
import nexa.store.shoot.ShootFolder;
import nexa.store.user.KeptFindings;
import nexa.store.user.UserData;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Finds how far photos are off level, their plain borders and their subjects. */
@Command(
        name = "find",
        description = "Finds how far every photo is off level, its plain border, its subject.",
        mixinStandardHelpOptions = true)
final class FindCommand implements Callable<Integer> {
    private static final ObjectMapper JSON = new ObjectMapper();

    /** What can be found. */
    enum What {
        LEVEL(FoundLevel.class),
        TRIM(FoundTrim.class),
        SUBJECT(FoundSubject.class);

        private final Class<? extends Found> found;

        What(Class<? extends Found> found) {
            this.found = found;
        }
    }

    /**
     * What came of a photo.
     *
     * @param found nothing if the photo could not be read
     * @param problem why its pixels could not be read, which is found out only now
     * @param millis how long it took
     */
    private record Outcome(Photo photo, Map<What, Found> found, Optional<PhotoProblem> problem, long millis) {}

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "DIR", description = "The shoot's folder.")
    private Path folder;

    @Option(
            names = "--what",
            split = ",",
            defaultValue = "level",
            description = "What to find, with commas between: ${COMPLETION-CANDIDATES}.")
    private List<What> what;

    @Option(names = "--take", description = "Take what is sure, but for photos that have such a thing already.")
    private boolean takes;

    @Option(
            names = "--json",
            description = "Print a JSON object a photo: leans in degrees, clockwise positive; all else in fractions.")
    private boolean asJson;

    private boolean hasFailed;

    @Override
    public Integer call() throws Exception {
        what = what.stream().distinct().toList();
        if (!takes) {
            OpenedShoot opened = OpenedShoot.open(folder);
            find(opened);
            return code(opened);
        }
        try (ShootFolder taken = ShootFolder.open(folder, UserData.ofThisUser())) {
            taken.requireWritable();
            OpenedShoot opened = OpenedShoot.of(taken);
            take(taken, opened.shoot(), find(opened));
            return code(opened);
        }
    }

    private int code(OpenedShoot opened) {
        boolean has = opened.tellProblems(spec.commandLine().getErr()) || hasFailed;
        return has ? NexaCommand.SOME_FAILED : NexaCommand.DONE;
    }

    /** Finds and prints what is in each photo, in the shoot's order, and tells what was found by file. */
    private Map<String, Collection<Found>> find(OpenedShoot opened)
            throws InterruptedException, JsonProcessingException {
        KeptFindings kept = opened.findings();
        ExecutorService workers =
                Executors.newFixedThreadPool(Runtime.getRuntime().availableProcessors());
        try {
            List<Future<Outcome>> outcomes = new ArrayList<>();
            for (Photo photo : opened.shoot().photos()) {
                outcomes.add(workers.submit(() -> outcome(opened, photo, kept)));
            }
            Map<String, Collection<Found>> found = new LinkedHashMap<>();
            for (Future<Outcome> each : outcomes) {
                Outcome outcome = each.get();
                print(opened, outcome);
                found.put(outcome.photo().file(), outcome.found().values());
            }
            return found;
        } catch (ExecutionException e) {
            throw new IllegalStateException(e.getCause());
        } finally {
            workers.shutdownNow();
            kept.save();
        }
    }

    private Outcome outcome(OpenedShoot opened, Photo photo, KeptFindings kept) {
        long from = System.nanoTime();
        Optional<PhotoProblem> problem = Optional.empty();
        Map<What, Found> found = new EnumMap<>(What.class);
        if (!opened.reading().hasProblem(photo)) {
            try {
                for (What each : what) {
                    opened.find(each.found, photo, kept).ifPresent(one -> found.put(each, one));
                }
            } catch (PhotoProblem e) {
                problem = Optional.of(e);
            }
        }
        return new Outcome(photo, found, problem, (System.nanoTime() - from) / 1_000_000);
    }

    private void print(OpenedShoot opened, Outcome outcome) throws JsonProcessingException {
        PrintWriter out = spec.commandLine().getOut();
        FoundPrinter printer =
                new FoundPrinter(outcome.photo().file(), opened.whyNot(outcome.photo()), what, outcome.found());
        if (asJson) {
            out.println(JSON.writeValueAsString(printer.json().put("ms", outcome.millis())));
        } else {
            printer.lines().forEach(out::println);
        }
        out.flush();
        outcome.problem().ifPresent(problem -> {
            hasFailed = true;
            spec.commandLine().getErr().println(NexaCommand.WORDS.say(problem));
        });
    }

    private void take(ShootFolder taken, Shoot before, Map<String, Collection<Found>> all) throws ShootProblem {
        Map<String, List<Found>> usual = new LinkedHashMap<>();
        all.forEach((file, found) -> usual.put(
                file,
                found.stream()
                        .filter(one -> TakeFound.isUsual(before.photo(file), one))
                        .toList()));
        Shoot after = TakeFound.of(before, usual);
        Edit edit = Edit.between(Edit.Kind.TAKE_FOUND, Optional.empty(), before, after);
        if (!edit.isIdentity()) {
            taken.record(edit);
            taken.save(after);
        }
        spec.commandLine()
                .getErr()
                .println(NexaCommand.WORDS.get("cli.taken", edit.after().size()));
    }
}
