package nexa.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import nexa.core.find.Certainty;
import nexa.core.find.FoundLevel;
import nexa.core.find.TakeLevels;
import nexa.core.message.EnumName;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.find.PhotoLevel;
import nexa.store.FoundLevels;
import nexa.store.ShootFolder;
import nexa.store.ShootProblem;
import nexa.store.UserData;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Finds how far photos are off level. */
@Command(name = "find", description = "Finds how far every photo is off level.", mixinStandardHelpOptions = true)
final class FindCommand implements Callable<Integer> {
    private static final ObjectMapper JSON = new ObjectMapper();

    /** What can be found. */
    enum What {
        LEVEL
    }

    /**
     * What came of a photo.
     *
     * @param level empty if the photo could not be read
     * @param problem why its pixels could not be read, which is found out only now
     * @param millis how long it took
     */
    private record Outcome(Photo photo, Optional<FoundLevel> level, Optional<PhotoProblem> problem, long millis) {}

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "DIR", description = "The shoot's folder.")
    private Path folder;

    @Option(names = "--what", split = ",", defaultValue = "level", description = "What to find: level.")
    private List<What> what;

    @Option(names = "--take", description = "Level the photos of which it is sure, but those levelled already.")
    private boolean takes;

    @Option(names = "--json", description = "Print a JSON object a line, leans in degrees, clockwise positive.")
    private boolean asJson;

    private boolean hasFailed;

    @Override
    public Integer call() throws Exception {
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

    /** Finds and prints the level of each photo, in the shoot's order, and tells what was found by file. */
    private Map<String, FoundLevel> find(OpenedShoot opened) throws InterruptedException, JsonProcessingException {
        FoundLevels kept = FoundLevels.of(opened.folder(), UserData.ofThisUser());
        ExecutorService workers =
                Executors.newFixedThreadPool(Runtime.getRuntime().availableProcessors());
        try {
            List<Future<Outcome>> outcomes = new ArrayList<>();
            for (Photo photo : opened.shoot().photos()) {
                outcomes.add(workers.submit(() -> outcome(opened, photo, kept)));
            }
            Map<String, FoundLevel> levels = new LinkedHashMap<>();
            for (Future<Outcome> each : outcomes) {
                Outcome outcome = each.get();
                print(outcome);
                outcome.level().ifPresent(level -> levels.put(outcome.photo().file(), level));
            }
            return levels;
        } catch (ExecutionException e) {
            throw new IllegalStateException(e.getCause());
        } finally {
            workers.shutdownNow();
            kept.save();
        }
    }

    private static Outcome outcome(OpenedShoot opened, Photo photo, FoundLevels kept) {
        long from = System.nanoTime();
        Optional<PhotoProblem> problem = Optional.empty();
        Optional<FoundLevel> level = Optional.empty();
        if (!opened.reading().problems().containsKey(photo.file())) {
            try {
                level = kept.find(photo, () -> PhotoLevel.of(opened.folder(), photo, () -> false));
            } catch (PhotoProblem e) {
                problem = Optional.of(e);
            }
        }
        return new Outcome(photo, level, problem, (System.nanoTime() - from) / 1_000_000);
    }

    private void print(Outcome outcome) throws JsonProcessingException {
        PrintWriter out = spec.commandLine().getOut();
        Optional<FoundLevel> level = outcome.level();
        Optional<FoundLevel> sure = level.filter(found -> found.certainty() == Certainty.SURE);
        Optional<FoundLevel> likely = level.filter(found -> found.certainty() == Certainty.LIKELY);
        Optional<Double> uncertainty =
                level.filter(found -> found.certainty() != Certainty.NOT_SURE).map(FoundLevel::uncertainty);
        String reason = level.map(found -> EnumName.of(found.reason(), "-")).orElse("unreadable");
        if (asJson) {
            ObjectNode node = JSON.createObjectNode();
            node.put("file", outcome.photo().file());
            node.put("found", sure.map(FoundLevel::lean).orElse(null));
            node.put("likely", likely.map(FoundLevel::lean).orElse(null));
            node.put("reason", reason);
            node.put("uncertainty", uncertainty.orElse(null));
            node.put("ms", outcome.millis());
            out.println(JSON.writeValueAsString(node));
        } else {
            String lean = sure.or(() -> likely)
                    .map(found -> String.format(Locale.ROOT, "%.2f°", found.lean()))
                    .orElse("–");
            String how = level.map(found -> EnumName.of(found.certainty(), " ")).orElse("");
            out.printf(Locale.ROOT, "%s\t%s\t%s\t%s%n", outcome.photo().file(), lean, how, reason);
        }
        out.flush();
        outcome.problem().ifPresent(problem -> {
            hasFailed = true;
            spec.commandLine().getErr().println(NexaCommand.WORDS.say(problem));
        });
    }

    private void take(ShootFolder taken, Shoot before, Map<String, FoundLevel> levels) throws ShootProblem {
        Map<String, FoundLevel> usual = new LinkedHashMap<>(levels);
        usual.keySet().removeIf(file -> !TakeLevels.isUsual(before.photo(file), levels.get(file)));
        Shoot after = TakeLevels.of(before, usual);
        Edit edit = Edit.between(Edit.Kind.LEVEL, Optional.empty(), before, after);
        if (!edit.isIdentity()) {
            taken.record(edit);
            taken.save(after);
        }
        spec.commandLine()
                .getErr()
                .println(NexaCommand.WORDS.get("cli.taken", edit.after().size()));
    }
}
