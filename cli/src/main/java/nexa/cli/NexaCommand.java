package nexa.cli;

import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.PrintStream;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import nexa.imaging.deliver.DeliveryProblem;
import nexa.store.document.ShootProblem;
import nexa.words.Words;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/** The command line: {@code nexa crops}, {@code nexa check}, {@code nexa find}, {@code nexa deliver}. */
@Command(
        name = "nexa",
        description = "Works with a shoot without a window.",
        subcommands = {CropsCommand.class, CheckCommand.class, DeliverCommand.class, FindCommand.class},
        mixinStandardHelpOptions = true)
public final class NexaCommand {
    static final int DONE = 0;
    static final int SOME_FAILED = 1;
    static final int WRONG_USE = 2;
    /** What the commands tell beside their results. */
    static final Words WORDS = new Words(Locale.ENGLISH, "nexa.cli.words");

    public static void main(String[] arguments) {
        // Names of photos can hold any letter, whatever the system's own encoding is.
        System.setErr(new PrintStream(System.err, true, StandardCharsets.UTF_8));
        System.exit(run(System.out, arguments));
    }

    /** Runs a command and gives its exit code. */
    static int run(OutputStream out, String... arguments) {
        PrintWriter utf8 = new PrintWriter(new OutputStreamWriter(out, StandardCharsets.UTF_8), true);
        return new CommandLine(new NexaCommand())
                .setOut(utf8)
                .setCaseInsensitiveEnumValuesAllowed(true)
                .setExecutionExceptionHandler((problem, command, parsed) -> {
                    if (!(problem instanceof ShootProblem || problem instanceof DeliveryProblem)) {
                        throw problem;
                    }
                    command.getErr().println(WORDS.say(problem));
                    return WRONG_USE;
                })
                .execute(arguments);
    }
}
