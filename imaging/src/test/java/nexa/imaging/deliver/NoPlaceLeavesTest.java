package nexa.imaging.deliver;

import static org.assertj.core.api.Assertions.assertThat;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.google.common.primitives.Bytes;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import nexa.core.format.FileSpec;
import nexa.core.format.Format;
import nexa.core.format.Ratio;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.imaging.TestPhotos;
import nexa.imaging.decode.TiffWriting;
import nexa.imaging.facts.ShootReading;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** Photos whose files lie in every way: whatever of them can be delivered tells no place, and has the photographer's lines. */
class NoPlaceLeavesTest extends DeliveredPhoto {
    private static final int OF_EACH_KIND = Boolean.getBoolean("nexa.thorough") ? 40 : 9;
    private static final String COMMAND = "nexa.raw";
    private static final Path RAW = Path.of("src", "test", "resources", "raw", "fern-0173.dng");

    @AfterEach
    void takeBackCommand() {
        System.clearProperty(COMMAND);
    }

    @Test
    void noneOfManyBrokenPhotosTellsWhereItWasTaken() throws Exception {
        // Raw pixels take their time, and have no part in this.
        System.setProperty(COMMAND, temporary.resolve("nowhere").toString());
        Path plain = TestPhotos.write(TestPhotos.scene(90, 60), temporary.resolve("plain.jpg"));
        byte[] tiff = Files.readAllBytes(TestPhotos.write(TestPhotos.scene(90, 60), temporary.resolve("plain.tif")));
        byte[] raw = Files.readAllBytes(RAW);
        List<String> names = new ArrayList<>();
        for (int seed = 0; seed < OF_EACH_KIND; seed++) {
            Random random = new Random(seed);
            names.add(jpeg(plain, seed, random));
            names.add(inTiff(tiff, "t" + seed + ".tif", random));
            if (seed % 8 == 0) {
                names.add(inTiff(raw, "r" + seed + ".dng", random));
            }
        }
        List<Path> delivered = deliver(names);
        assertThat(delivered).as("most can still be read").hasSizeGreaterThan(2 * names.size());
        for (Path file : delivered) {
            byte[] bytes = Files.readAllBytes(file);
            for (byte[] trace : MadeUpCamera.traces()) {
                assertThat(Bytes.indexOf(bytes, trace)).as(file.toString()).isNegative();
            }
            ExifIFD0Directory main =
                    ImageMetadataReader.readMetadata(file.toFile()).getFirstDirectoryOfType(ExifIFD0Directory.class);
            assertThat(main.getString(ExifIFD0Directory.TAG_COPYRIGHT)).isEqualTo("© Fernhill Pottery");
            assertThat(main.getString(ExifIFD0Directory.TAG_ARTIST)).isEqualTo("Ada Throw");
        }
    }

    /** A JPEG with a block, and XMP beside it, in which bytes have changed. */
    private String jpeg(Path plain, int seed, Random random) throws Exception {
        Path file = Files.copy(plain, source.resolve("j" + seed + ".jpg"));
        byte[] block = TiffWriting.block(MadeUpCamera.directory(random));
        TestPhotos.addMetadata(file, MadeUpCamera.mutated(block, 0, block.length, random), null);
        byte[] xmp = ("http://ns.adobe.com/xap/1.0/\0<x:xmpmeta><City>" + MadeUpCamera.PLACE + "</City></x:xmpmeta>")
                .getBytes(StandardCharsets.ISO_8859_1);
        byte[] all = Files.readAllBytes(file);
        byte[] header = {(byte) 0xFF, (byte) 0xE1, (byte) (xmp.length + 2 >> 8), (byte) (xmp.length + 2)};
        byte[] with = Bytes.concat(new byte[] {all[0], all[1]}, header, xmp, Arrays.copyOfRange(all, 2, all.length));
        // Segments' lengths lie too, now and then.
        Files.write(file, seed % 4 == 0 ? MadeUpCamera.mutated(with, 2, 2 + header.length + 2, random) : with);
        return file.getFileName().toString();
    }

    /** A TIFF, a raw one perhaps, with what the camera noted at its end, in which bytes have changed. */
    private String inTiff(byte[] tiff, String name, Random random) throws Exception {
        byte[] noted = TiffWriting.joined(MadeUpCamera.directory(random), tiff);
        Files.write(source.resolve(name), MadeUpCamera.mutated(noted, tiff.length, noted.length, random));
        return name;
    }

    private List<Path> deliver(List<String> names) throws Exception {
        List<Format> formats = Stream.of(FileSpec.Type.values())
                .map(type -> Format.of(type.name(), type.name(), Ratio.of("1", "1"))
                        .withFile(FileSpec.usual(type.ending()).withType(type)))
                .toList();
        Shoot plain = Shoot.of(
                "Broken",
                Shoot.Order.NAME,
                formats,
                names.stream().map(Photo::untouched).toList());
        ShootReading reading = ShootReading.of(plain, source);
        DeliveryPlan plan = DeliveryPlan.of(
                reading.appliedTo(plain),
                reading,
                new DeliveryPlan.Choice(Set.of("JPEG", "PNG", "TIFF"), false, false));
        return TestDeliveries.of(plan, source, out, WITH_LINES).run(2).written();
    }
}
