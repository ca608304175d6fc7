package nexa.imaging.raw;

import java.io.BufferedInputStream;
import java.io.File;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.stream.Stream;
import nexa.core.format.PixelSize;
import nexa.imaging.decode.PhotoProblem;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * LibRaw's command, which makes pictures of the samples of raw files. It runs as a process of its own, with bounded time,
 * memory and output: a broken file can bring it down.
 */
public final class RawCommand {
    /** Names the command in place of the one that is installed; for tests, and where it is called otherwise. */
    static final String PROPERTY = "nexa.raw";

    private static final String NAME = "dcraw_emu";
    /**
     * Light as it is, of 16 bits, in the primaries of sRGB, by the camera's white, as stored. The threshold of nought keeps the
     * sensor's own most: else a photo that does not reach it comes out lighter.
     */
    private static final List<String> LIGHT_AS_IT_IS =
            List.of("-4", "-W", "-w", "-c", "0", "-t", "0", "-o", "1", "-q", "3", "-Z", "-");

    private static final String HALF_SIZE = "-h";
    /** Limits itself, then becomes the command. */
    private static final Path SHELL = Path.of("/bin/sh");

    private static final String LIMITED = "ulimit -v \"$1\"; ulimit -t \"$2\"; shift 2; exec \"$@\"";
    private static final long KILOBYTES = 512 * 1024;
    private static final double KILOBYTES_A_PIXEL = 0.06;
    private static final Duration LEAST_TIME = Duration.ofSeconds(60);
    private static final double SECONDS_A_PIXEL = 8e-6;
    /** Processors that work at once count together, so that the clock comes first. */
    private static final int PROCESSORS = 8;

    private static final int SIGNALLED = 128;
    /** Ended since what it wrote was not read any more, which is our doing. */
    private static final int NOT_HEARD = SIGNALLED + 13;

    private final Path command;
    private final Duration leastTime;

    RawCommand(Path command, Duration leastTime) {
        this.command = command;
        this.leastTime = leastTime;
    }

    /** The command, where it is installed. */
    public static Optional<RawCommand> found() {
        String named = System.getProperty(PROPERTY);
        Stream<Path> places = named != null
                ? Stream.of(Path.of(named))
                : Stream.of(System.getenv().getOrDefault("PATH", "").split(File.pathSeparator))
                        .filter(place -> !place.isEmpty())
                        .map(place -> Path.of(place, NAME));
        return places.filter(Files::isRegularFile)
                .filter(Files::isExecutable)
                .findFirst()
                .map(place -> new RawCommand(place, LEAST_TIME));
    }

    /**
     * The picture of a raw file: light as it is, in the primaries of sRGB, BGR of 16 bits, as stored. The caller closes it.
     *
     * @param expected about its size: one of far more pixels is none
     * @param isHalf whether half as many pixels along each side will do
     * @throws PhotoProblem if none comes of it
     */
    public Mat develop(Path file, PixelSize expected, boolean isHalf) throws PhotoProblem {
        double pixels = expected.size().area();
        long seconds =
                leastTime.plusMillis((long) (1000 * SECONDS_A_PIXEL * pixels)).toSeconds();
        try {
            Process process = new ProcessBuilder(line(file, isHalf, pixels, seconds))
                    .redirectError(ProcessBuilder.Redirect.DISCARD)
                    .start();
            return picture(process, file.getFileName().toString(), 4 * pixels, seconds);
        } catch (IOException e) {
            throw new PhotoProblem(file.getFileName().toString(), PhotoProblem.Reason.NOT_DEVELOPED, e);
        }
    }

    /** Read by a thread of its own: what a process has begun may hold its output open when it is gone itself. */
    private static Mat picture(Process process, String name, double mostPixels, long seconds) throws PhotoProblem {
        CompletableFuture<Mat> reading = new CompletableFuture<>();
        Thread reader = new Thread(() -> read(process, mostPixels, reading), "developing");
        reader.setDaemon(true);
        reader.start();
        try {
            return reading.get(seconds, TimeUnit.SECONDS);
        } catch (TimeoutException e) {
            reading.thenAccept(Mat::close);
            throw new PhotoProblem(name, PhotoProblem.Reason.DEVELOPER_HANGS, e);
        } catch (ExecutionException e) {
            throw e.getCause() instanceof IOException
                    ? new PhotoProblem(name, reason(process), e.getCause())
                    : PhotoProblem.of(name, e.getCause());
        } catch (InterruptedException e) {
            reading.thenAccept(Mat::close);
            Thread.currentThread().interrupt();
            throw new PhotoProblem(name, PhotoProblem.Reason.NOT_DEVELOPED, e);
        } finally {
            end(process);
        }
    }

    private static void read(Process process, double mostPixels, CompletableFuture<Mat> reading) {
        try (InputStream out = new BufferedInputStream(process.getInputStream(), 1 << 16)) {
            reading.complete(PortablePixmap.read(out, mostPixels));
        } catch (IOException | RuntimeException | OutOfMemoryError e) {
            reading.completeExceptionally(e);
        }
    }

    private List<String> line(Path file, boolean isHalf, double pixels, long seconds) {
        List<String> line = new ArrayList<>();
        if (Files.isExecutable(SHELL)) {
            long most = KILOBYTES + (long) (KILOBYTES_A_PIXEL * pixels);
            line.addAll(List.of(
                    SHELL.toString(),
                    "-c",
                    LIMITED,
                    "raw",
                    String.valueOf(most),
                    String.valueOf(PROCESSORS * seconds)));
        }
        line.add(command.toString());
        line.addAll(LIGHT_AS_IT_IS);
        if (isHalf) {
            line.add(HALF_SIZE);
        }
        line.add(file.toAbsolutePath().toString());
        return line;
    }

    /** With whatever it began, which would hold its output open. */
    private static void end(Process process) {
        process.descendants().forEach(ProcessHandle::destroyForcibly);
        process.destroyForcibly();
    }

    /** A process that a signal has ended broke down; any other was not able to make a picture. */
    private static PhotoProblem.Reason reason(Process process) {
        try {
            boolean broke = process.waitFor(1, TimeUnit.SECONDS)
                    && process.exitValue() > SIGNALLED
                    && process.exitValue() != NOT_HEARD;
            return broke ? PhotoProblem.Reason.DEVELOPER_BROKE : PhotoProblem.Reason.NOT_DEVELOPED;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return PhotoProblem.Reason.NOT_DEVELOPED;
        }
    }
}
