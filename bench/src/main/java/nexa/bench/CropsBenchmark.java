package nexa.bench;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import nexa.core.format.Format;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.series.Crops;
import nexa.core.shape.Perspective;
import nexa.core.shape.PhotoSpace;
import nexa.core.shape.SceneLines;
import nexa.core.shoot.Carry;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Tune;
import nexa.core.shoot.Wish;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** How long core takes to work out the crops of 1,000 followers, in photos as they are and in such whose perspective was put right. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2, time = 2)
@Measurement(iterations = 3, time = 2)
@Fork(1)
public class CropsBenchmark {
    private static final int FOLLOWERS = 1000;

    private final Shoot shoot = shoot(false);
    private final Shoot reshaped = shoot(true);

    private static Shoot shoot(boolean isReshaped) {
        Crop crop = new Crop(new Point(2800, 2100), new Size(4000, 3000));
        Placement own = new Placement.Own(Wish.of(crop, PhotoSpace.of(new Size(6000, 4000))));
        Placement follow = new Placement.Follow(Tune.NONE, EnumSet.allOf(Carry.class), Optional.empty(), false);
        List<Photo> photos = new ArrayList<>();
        for (int i = 0; i <= FOLLOWERS; i++) {
            photos.add(Photo.untouched("p" + i)
                    .withPixels(i % 3 == 0 ? new PixelSize(6000, 4000) : new PixelSize(4000, 6000))
                    .withAngle(new Angle(i % 7 - 3))
                    .withPerspective(isReshaped ? Optional.of(perspective(i)) : Optional.empty())
                    .withEntry("f", new CropEntry(i == 0 ? own : follow, Optional.empty(), false)));
        }
        Format format = Format.of("f", "F", Ratio.of("4", "3")).withLeads(Map.of(Orientation.WIDE, "p0"));
        return Shoot.of("Bench", Shoot.Order.NAME, List.of(format), photos);
    }

    private static Perspective perspective(int photo) {
        return new Perspective(photo % 25 - 12, photo % 11 - 5, 100, 1, 28, SceneLines.NONE);
    }

    @Benchmark
    public double thousandFollowers() {
        return worked(shoot);
    }

    @Benchmark
    public double thousandReshapedFollowers() {
        return worked(reshaped);
    }

    private static double worked(Shoot shoot) {
        Crops crops = new Crops(shoot);
        double sum = 0;
        for (Photo photo : shoot.photos()) {
            sum += crops.of(photo, shoot.formats().get(0)).crop().centre().x();
        }
        return sum;
    }
}
