package nexa.imaging.deliver;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.FileSpec;
import nexa.core.format.Format;
import nexa.core.format.FormatTurn;
import nexa.core.format.LengthUnit;
import nexa.core.format.OutputSize;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.imaging.TestPhotos;
import nexa.imaging.facts.ShootReading;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;

/** Delivers a small shoot. */
abstract class DeliveredShoot {
    static final Format PRINT =
            Format.of("print", "Print", Ratio.of("3", "2")).withSize(new OutputSize.Print(3, 2, LengthUnit.IN, 150));
    static final Format FEED = Format.of("feed", "Feed", Ratio.of("4", "5"))
            .withTurn(FormatTurn.TALL)
            .withSize(new OutputSize.Pixels(200, 250))
            .withFile(FileSpec.usual("social").withName("{number} {photo} {size}"));

    @TempDir
    Path temporary;

    Path source;
    Path out;
    Shoot shoot;

    @BeforeEach
    void makeShoot() throws Exception {
        source = Files.createDirectory(temporary.resolve("source"));
        out = temporary.resolve("out");
        TestPhotos.write(TestPhotos.scene(900, 600), source.resolve("a.jpg"));
        TestPhotos.write(TestPhotos.scene(600, 900), source.resolve("über \"b\".png"));
        TestPhotos.write(TestPhotos.scene(900, 600), source.resolve("c.jpg"));
        byte[] profile = ICC_Profile.getInstance(ColorSpace.CS_LINEAR_RGB).getData();
        TestPhotos.addMetadata(source.resolve("c.jpg"), TestPhotos.exif(6, new PixelSize(900, 600)), profile);
        List<Photo> photos = Stream.of("a.jpg", "über \"b\".png", "c.jpg")
                .map(Photo::untouched)
                .toList();
        Shoot plain = Shoot.of("Firing", Shoot.Order.NAME, List.of(PRINT, FEED), photos);
        shoot = ShootReading.of(plain, source).appliedTo(plain).with("a.jpg", photo -> photo.withAngle(new Angle(3)));
    }

    DeliveryPlan plan(Set<String> formats) {
        return DeliveryPlan.of(shoot, ShootReading.of(shoot, source), new DeliveryPlan.Choice(formats, false, false));
    }

    Delivery.Result deliver(Set<String> formats) throws Exception {
        return TestDeliveries.of(plan(formats), source, out, DeliveryTerms.USUAL)
                .run(2);
    }

    List<String> files() throws Exception {
        try (Stream<Path> all = Files.walk(out)) {
            return all.filter(Files::isRegularFile)
                    .map(file -> out.relativize(file).toString())
                    .filter(name -> !name.startsWith(".nexa-") && !name.equals(DeliveryList.NAME))
                    .toList();
        }
    }

    PixelSize size(String name) throws Exception {
        BufferedImage image = ImageIO.read(out.resolve(name).toFile());
        return new PixelSize(image.getWidth(), image.getHeight());
    }
}
