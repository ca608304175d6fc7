package nexa.imaging.decode;

import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.MetadataException;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.Optional;

/** Raw photos, by the pictures that their cameras made of them: the sensor's own samples are not read here. */
final class RawDecoder implements PhotoDecoder {
    private static final JpegDecoder JPEG = new JpegDecoder();

    @Override
    public PhotoHeader header(Path file) throws IOException, ImageProcessingException {
        RawFile raw = raw(file);
        ToldMetadata told = ToldMetadata.of(raw.told().map(RawDecoder::ofThePhoto));
        int channels = raw.picture().map(jpeg -> jpeg.stored().channels()).orElse(0);
        return new PhotoHeader(new StoredPixels(raw.size(), channels), Optional.of(raw), told);
    }

    private static RawFile raw(Path file) throws IOException, ImageProcessingException {
        return RawFile.read(file).orElseThrow(() -> new ImageProcessingException("no raw file"));
    }

    /** Makers' notes say what they say by places in their file, which is another one then. */
    private static TiffDirectory ofThePhoto(TiffDirectory told) {
        return told.only(SourceMetadata.OF_THE_PHOTO::contains).withoutInExif(TiffDirectory.MAKER_NOTE);
    }

    @Override
    public SourceMetadata metadata(Path file) throws IOException, ImageProcessingException {
        RawFile raw = raw(file);
        Optional<byte[]> exif =
                raw.told().map(TiffDirectory::apart).map(RawDecoder::ofThePhoto).map(TiffWriting::block);
        if (raw.picture().isEmpty()) {
            return new SourceMetadata(exif, Optional.empty());
        }
        try (InputStream in = raw.picture().get().stream(file)) {
            return new SourceMetadata(exif, JpegDecoder.profile(in));
        }
    }

    /** Its picture; samples that are missing are told of where they are wanted. */
    @Override
    public void requireWhole(Path file) throws IOException, PhotoProblem {
        Optional<EmbeddedJpeg> picture = RawFile.read(file).flatMap(RawFile::picture);
        if (picture.isPresent() && !picture.get().isWhole(file)) {
            throw new PhotoProblem(file.getFileName().toString(), PhotoProblem.Reason.CUT_OFF);
        }
    }

    /** A picture that is large enough, and not one byte of what lies around it. */
    @Override
    public byte[] read(Path file, int longSide) throws IOException {
        Optional<EmbeddedJpeg> picture = RawFile.read(file).flatMap(raw -> raw.picture(longSide));
        return picture.isPresent() ? picture.get().bytes(file) : new byte[0];
    }

    @Override
    public byte[] whole(String name, byte[] file) throws PhotoProblem {
        if (file.length == 0) {
            throw new PhotoProblem(name, PhotoProblem.Reason.NO_PICTURE);
        }
        return JPEG.whole(name, file);
    }

    /** All pixels of its picture, which may have fewer than the sensor. */
    @Override
    public Decoded full(byte[] whole, StoredPixels stored) throws IOException {
        return JPEG.full(whole, stored);
    }

    @Override
    public Decoded reduced(byte[] whole, StoredPixels stored, int longSide) throws IOException {
        return JPEG.reduced(whole, stored(whole, stored), longSide);
    }

    private static StoredPixels stored(byte[] jpeg, StoredPixels otherwise) throws IOException {
        try (InputStream in = new ByteArrayInputStream(jpeg)) {
            return JpegDecoder.storedInside(in);
        } catch (ImageProcessingException | MetadataException e) {
            return otherwise;
        }
    }
}
