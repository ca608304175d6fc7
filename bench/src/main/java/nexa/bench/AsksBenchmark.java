package nexa.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import nexa.core.find.Certainty;
import nexa.core.find.FoundLevel;
import nexa.core.find.FoundLevels;
import nexa.core.format.Asks;
import nexa.core.format.Format;
import nexa.core.format.LengthUnit;
import nexa.core.format.OutputSize;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import nexa.core.series.AskCheck;
import nexa.core.series.CropTable;
import nexa.core.series.Crops;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Eyes;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Subject;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** How long core takes to check all that can be asked of 10,000 photos in 6 formats: of crops at hand, and worked out with them. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2, time = 3)
@Measurement(iterations = 3, time = 3)
@Fork(1)
public class AsksBenchmark {
    private static final int PHOTOS = 10_000;
    private static final Asks ASKS = Asks.NONE
            .withShare(Optional.of(new Asks.Share(0.3, 0.6)))
            .withPlace(Optional.of(new Point(0.5, 0.5)))
            .withEyes(OptionalDouble.of(0.38))
            .withRoom(OptionalDouble.of(0.04))
            .withLevel(OptionalDouble.of(0.5))
            .withAllPhoto(true)
            .withLeastPpi(OptionalDouble.of(240));

    private final Shoot shoot = shoot();
    private final FoundLevels levels = levels(shoot);
    private final List<PhotoCrop> crops = crops(shoot);

    private static Shoot shoot() {
        List<Photo> photos = new ArrayList<>();
        for (int i = 0; i < PHOTOS; i++) {
            boolean isWide = i % 3 == 0;
            PixelSize pixels = isWide ? new PixelSize(6000, 4000) : new PixelSize(4000, 6000);
            Point at = new Point(0.4 + i % 20 / 100.0, 0.5);
            Bounds box = new Bounds(at.minus(new Point(0.1, 0.15)), at.plus(new Point(0.12, 0.2)));
            Subject subject = Subject.around(at, box, pixels.size())
                    .withEyes(Optional.of(
                            new Eyes(new Point(-0.03, -0.1), new Point(0.03, -0.1), Optional.of(new Point(0, -0.08)))));
            photos.add(Photo.untouched("p" + i)
                    .withPixels(pixels)
                    .withAngle(new Angle(i % 7 - 3))
                    .withSubject(Optional.of(subject)));
        }
        List<Format> formats = new ArrayList<>();
        for (String ratio : List.of("4:3", "1:1", "4:5", "16:9", "7:5", "3:1")) {
            Ratio shape = Ratio.parse(ratio);
            formats.add(Format.of("f" + formats.size(), ratio, shape)
                    .withSize(new OutputSize.Print(20, 20 / shape.value(), LengthUnit.CM, 300))
                    .withReaches(formats.size() % 2 == 0)
                    .withAsks(ASKS));
        }
        return Shoot.of("Bench", Shoot.Order.NAME, formats, photos);
    }

    private static FoundLevels levels(Shoot shoot) {
        FoundLevel level = new FoundLevel(Certainty.SURE, FoundLevel.Reason.HORIZON, 1, 0.1, List.of());
        return new FoundLevels(shoot.photos().stream().collect(Collectors.toMap(Photo::asLookedAt, photo -> level)));
    }

    private static List<PhotoCrop> crops(Shoot shoot) {
        Crops crops = new Crops(shoot);
        List<PhotoCrop> all = new ArrayList<>();
        for (Format format : shoot.formats()) {
            shoot.photos().forEach(photo -> all.add(crops.of(photo, format)));
        }
        return all;
    }

    @Benchmark
    public int checked() {
        int checked = 0;
        for (PhotoCrop crop : crops) {
            checked += AskCheck.of(crop, levels).size();
        }
        return checked;
    }

    @Benchmark
    public int tables() {
        int rows = 0;
        for (Format format : shoot.formats()) {
            rows += CropTable.of(shoot, shoot.photos(), format, levels).rows().size();
        }
        return rows;
    }
}
