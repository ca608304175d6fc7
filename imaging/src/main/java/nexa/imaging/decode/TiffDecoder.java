package nexa.imaging.decode;

import com.drew.imaging.ImageProcessingException;
import com.drew.lang.RandomAccessFileReader;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Set;
import nexa.core.format.PixelSize;

/** TIFF, by Java: OpenCV does not read all of them well. Whether one is whole is not known before it is decoded. */
final class TiffDecoder implements PhotoDecoder {
    private static final int WIDTH = 256;
    private static final int HEIGHT = 257;
    private static final int PROFILE = 34_675;
    private static final int SAMPLES = 277;
    /** So many samples a pixel are those of plain colours; what others may be is not always said. */
    private static final Set<Long> OF_COLOURS = Set.of(1L, 3L);

    @Override
    public PhotoHeader header(Path file) throws IOException, ImageProcessingException {
        try (RandomAccessFile in = new RandomAccessFile(file.toFile(), "r")) {
            TiffDirectory first = TiffDirectory.read(new RandomAccessFileReader(in))
                    .orElseThrow(() -> new ImageProcessingException("no directory"));
            long width = first.number(WIDTH).orElse(0);
            long height = first.number(HEIGHT).orElse(0);
            return new PhotoHeader(
                    new StoredPixels(
                            new PixelSize(Math.toIntExact(width), Math.toIntExact(height)),
                            0,
                            !OF_COLOURS.contains(first.number(SAMPLES).orElse(1))),
                    ToldMetadata.of(Optional.of(first.only(SourceMetadata.OF_THE_PHOTO::contains))));
        }
    }

    @Override
    public SourceMetadata metadata(Path file) throws IOException {
        try (RandomAccessFile in = new RandomAccessFile(file.toFile(), "r")) {
            Optional<TiffDirectory> first = TiffDirectory.read(new RandomAccessFileReader(in));
            Optional<byte[]> exif = first.map(
                            directory -> directory.apart().only(SourceMetadata.OF_THE_PHOTO::contains))
                    .filter(directory -> !directory.isEmpty())
                    .map(TiffWriting::block);
            Optional<byte[]> profile = first.flatMap(directory -> directory.bytes(PROFILE));
            return new SourceMetadata(exif, profile.flatMap(ColourProfile::read));
        }
    }

    @Override
    public void requireWhole(Path file) {
        // Its parts may lie in any order; the decoder tells.
    }

    @Override
    public byte[] whole(String name, byte[] file) {
        return file;
    }

    @Override
    public Decoded full(byte[] whole, StoredPixels stored) throws IOException {
        return ImageIoPixels.decode(whole);
    }
}
