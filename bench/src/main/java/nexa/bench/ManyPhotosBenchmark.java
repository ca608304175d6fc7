package nexa.bench;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import nexa.core.format.Format;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.series.CarryAcross;
import nexa.core.series.Leads;
import nexa.core.series.Reorient;
import nexa.core.series.StartAgain;
import nexa.core.shoot.Carry;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** How long core takes to change 10,000 photos at one go. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2, time = 2)
@Measurement(iterations = 3, time = 2)
@Fork(1)
public class ManyPhotosBenchmark {
    private static final int PHOTOS = 10_000;

    private final Shoot shoot = shoot();
    private final Set<String> files = shoot.photos().stream().map(Photo::file).collect(Collectors.toSet());
    private final CarryAcross carry = new CarryAcross("p0", "f", EnumSet.allOf(Carry.class), false, true);
    private final Shoot carried = carry.to(shoot, files).shoot();

    private static Shoot shoot() {
        List<Photo> photos = IntStream.range(0, PHOTOS)
                .mapToObj(i -> Photo.untouched("p" + i)
                        .withPixels(i % 3 == 0 ? new PixelSize(6000, 4000) : new PixelSize(4000, 6000))
                        .withAngle(new Angle(i % 7 - 3)))
                .toList();
        Format format = Format.of("f", "F", Ratio.of("4", "3"));
        return Shoot.of("Bench", Shoot.Order.NAME, List.of(format), photos);
    }

    @Benchmark
    public Shoot mark() {
        return carried.withEach(files, photo -> photo.withMark(Mark.SELECT));
    }

    @Benchmark
    public Shoot turn() {
        return Reorient.RIGHT.apply(carried, files);
    }

    @Benchmark
    public CarryAcross.Outcome carry() {
        return carry.to(shoot, files);
    }

    @Benchmark
    public Shoot takeTheLeadAway() {
        return Leads.takeAway(carried, "p0", "f");
    }

    @Benchmark
    public Shoot startAgain() {
        return StartAgain.photos(carried, files);
    }
}
