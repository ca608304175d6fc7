package nexa.bench;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.lens.AtFocal;
import nexa.core.lens.KnownCamera;
import nexa.core.lens.KnownLens;
import nexa.core.lens.OwnProfile;
import nexa.core.lens.Taken;
import nexa.core.shape.Distortion;
import nexa.core.shape.Lens;
import nexa.core.shape.LensMap;
import nexa.core.shape.LensProfile;
import nexa.store.lens.LensData;
import nexa.store.lens.OwnLenses;

/**
 * Lenses of the open lens data, at random focal lengths and on random photos, held against that data's own library (Debian:
 * liblensfun-data-v1, liblensfun1, python3): by how many pixels red, green and blue are read elsewhere.
 */
public final class LensBench {
    private static final int LENSES = 200;
    private static final int PLACES = 25;
    private static final Path PEER = Path.of("bench", "src", "main", "python", "lens_peer.py");

    private LensBench() {}

    /** A lens on a photo. */
    private record Trial(KnownLens lens, double cameraCrop, Size photo, double focal, List<Point> places) {
        String line(Path file) {
            StringBuilder line = new StringBuilder(String.format(
                    Locale.ROOT, "%s\t%s\t%.0f\t%.0f\t%s", file, cameraCrop, photo.width(), photo.height(), focal));
            places.forEach(
                    place -> line.append('\t').append(place.x()).append('\t').append(place.y()));
            return line + "\n";
        }

        /** The most by which a colour is read elsewhere. */
        double off(String[] peer) {
            Taken taken = new Taken(
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    OptionalDouble.of(focal),
                    OptionalDouble.empty(),
                    OptionalDouble.empty(),
                    OptionalDouble.empty());
            LensProfile profile = lens.profile(taken).orElseThrow();
            LensMap map = new LensMap(Lens.of(profile, cameraCrop), photo);
            // The library leaves the middle as small or large as the terms say; here it keeps its size.
            double atMiddle = profile.distortion().map(LensBench::atMiddle).orElse(1.0);
            double most = 0;
            for (int i = 0; i < places.size(); i++) {
                Point straight = places.get(i)
                        .plus(new Point(0.5, 0.5))
                        .minus(photo.middle())
                        .times(atMiddle)
                        .plus(photo.middle());
                if (straight.distance(photo.middle()) > map.limit()) {
                    continue;
                }
                Point green = map.toPhoto(straight);
                List<Point> own = List.of(map.red(green), green, map.blue(green));
                for (int colour = 0; colour < 3; colour++) {
                    Point other = new Point(
                            Double.parseDouble(peer[6 * i + 2 * colour]) + 0.5,
                            Double.parseDouble(peer[6 * i + 2 * colour + 1]) + 0.5);
                    most = Math.max(most, other.distance(own.get(colour)));
                }
            }
            return most;
        }
    }

    private static double atMiddle(Distortion distortion) {
        List<Double> terms = distortion.terms();
        return switch (distortion.model()) {
            case PTLENS -> 1 - terms.get(0) - terms.get(1) - terms.get(2);
            case POLY3 -> 1 - terms.get(0);
            case POLY5 -> 1;
        };
    }

    public static void main(String[] arguments) throws Exception {
        List<KnownLens> bent = LensData.read().book().lenses().stream()
                .filter(lens -> lens.isRectilinear() && !lens.distortion().isEmpty())
                .toList();
        if (bent.isEmpty()) {
            System.out.println("the open lens data is not installed");
            return;
        }
        Path folder = Files.createTempDirectory("nexa-bench");
        try {
            List<Trial> trials = trials(bent);
            String[] answers = answers(folder, trials).split("\n");
            double[] off = new double[trials.size()];
            for (int i = 0; i < off.length; i++) {
                off[i] = trials.get(i).off(answers[i].split("\t"));
            }
            Arrays.sort(off);
            System.out.println(String.format(
                    Locale.ROOT,
                    "%d lenses beside the data's own library: off by %.5f px (median), %.5f px at most",
                    off.length,
                    off[off.length / 2],
                    off[off.length - 1]));
        } finally {
            LargePhotos.delete(folder);
        }
    }

    private static List<Trial> trials(List<KnownLens> lenses) {
        Random random = new Random(16);
        List<Trial> trials = new ArrayList<>();
        for (int i = 0; i < LENSES; i++) {
            KnownLens lens = lenses.get(random.nextInt(lenses.size()));
            double shortest =
                    lens.distortion().stream().mapToDouble(AtFocal::focal).min().orElseThrow();
            double longest =
                    lens.distortion().stream().mapToDouble(AtFocal::focal).max().orElseThrow();
            double focal = shortest + random.nextDouble() * (longest - shortest);
            boolean isTall = random.nextInt(3) == 0;
            Size photo = isTall ? new Size(4000, 6000) : new Size(6000, 4000);
            List<Point> places = new ArrayList<>();
            for (int k = 0; k < PLACES; k++) {
                places.add(new Point(random.nextInt((int) photo.width()), random.nextInt((int) photo.height())));
            }
            trials.add(new Trial(lens, lens.cropFactor() * (1 + 0.3 * random.nextDouble()), photo, focal, places));
        }
        return trials;
    }

    private static String answers(Path folder, List<Trial> trials) throws Exception {
        StringBuilder asked = new StringBuilder();
        for (int i = 0; i < trials.size(); i++) {
            Path own = Files.createDirectory(folder.resolve("lens " + i));
            KnownLens lens = trials.get(i).lens();
            KnownCamera camera =
                    new KnownCamera("Bench", "Bench", "bench", trials.get(i).cameraCrop());
            new OwnLenses(own).keep(new OwnProfile(camera, lens));
            asked.append(trials.get(i).line(file(own)));
        }
        Path questions = Files.writeString(folder.resolve("asked"), asked);
        Process peer = new ProcessBuilder("python3", PEER.toString())
                .redirectInput(questions.toFile())
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        return new String(peer.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    }

    private static Path file(Path folder) throws IOException {
        try (var files = Files.list(folder)) {
            return files.findFirst().orElseThrow();
        }
    }
}
