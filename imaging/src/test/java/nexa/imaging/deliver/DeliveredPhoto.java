package nexa.imaging.deliver;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.FileSpec;
import nexa.core.format.Format;
import nexa.core.format.Ratio;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.imaging.TestPhotos;
import nexa.imaging.facts.ShootReading;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;

/** Delivers one photo and looks at the file. */
abstract class DeliveredPhoto {
    static final DeliveryTerms WITH_LINES = DeliveryTerms.USUAL.withLines("© Fernhill Pottery", "Ada Throw");

    @TempDir
    Path temporary;

    Path source;
    Path out;

    @BeforeEach
    void makeFolders() throws Exception {
        source = Files.createDirectory(temporary.resolve("source"));
        out = temporary.resolve("out");
    }

    /** The EXIF directory of a block, of these entries; each is a tag, a type, a count and a value or bytes. */
    static byte[] block(Object[]... entries) {
        ByteBuffer block = ByteBuffer.allocate(100_000).order(ByteOrder.LITTLE_ENDIAN);
        block.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(8);
        block.putShort((short) 1).putShort((short) 0x8769).putShort((short) 4).putInt(1);
        block.putInt(26).putInt(0);
        block.putShort((short) entries.length);
        int at = 26 + 2 + entries.length * 12 + 4;
        for (Object[] entry : entries) {
            block.putShort(((Integer) entry[0]).shortValue()).putShort(((Integer) entry[1]).shortValue());
            if (entry[2] instanceof byte[] bytes) {
                block.putInt(bytes.length).putInt(at);
                block.put(at, bytes);
                at += bytes.length;
            } else {
                block.putInt(1).putInt((Integer) entry[2]);
            }
        }
        return Arrays.copyOf(block.array(), at);
    }

    static byte[] ascii(String text) {
        return text.getBytes(StandardCharsets.US_ASCII);
    }

    void photo(String name, byte[] exif, byte[] profile) throws Exception {
        TestPhotos.write(TestPhotos.scene(90, 60), source.resolve(name));
        if (exif != null) {
            TestPhotos.addMetadata(source.resolve(name), exif, profile);
        }
    }

    Path deliver(String photo, FileSpec spec, DeliveryTerms terms) throws Exception {
        return deliver(photo, Format.of("own", "Own", Ratio.PHOTO).withFile(spec), terms);
    }

    Path deliver(String photo, Format format, DeliveryTerms terms) throws Exception {
        return deliver(Photo.untouched(photo), format, terms);
    }

    Path deliver(Photo photo, Format format, DeliveryTerms terms) throws Exception {
        Shoot plain = Shoot.of("Firing", Shoot.Order.NAME, List.of(format), List.of(photo));
        ShootReading reading = ShootReading.of(plain, source);
        DeliveryPlan plan = DeliveryPlan.of(
                reading.appliedTo(plain), reading, new DeliveryPlan.Choice(Set.of(format.id()), false, false));
        Delivery.Result result = TestDeliveries.of(plan, source, out, terms).run(1);
        assertThat(result.failures()).isEmpty();
        return result.written().get(0);
    }

    static byte[] tiff(Mat pixels, byte[] profile) {
        return new TiffFile()
                .encode(new FileFormat.Contents(
                        pixels, FileSpec.usual(""), Optional.of(profile), Optional.empty(), OptionalDouble.empty()))
                .contents();
    }
}
