package nexa.imaging.decode;

import com.drew.imaging.ImageProcessingException;
import com.drew.imaging.jpeg.JpegProcessingException;
import com.drew.imaging.jpeg.JpegSegmentData;
import com.drew.imaging.jpeg.JpegSegmentReader;
import com.drew.imaging.jpeg.JpegSegmentType;
import com.drew.metadata.Metadata;
import com.drew.metadata.MetadataException;
import com.drew.metadata.jpeg.JpegDirectory;
import com.drew.metadata.jpeg.JpegReader;
import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import nexa.core.format.PixelSize;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.opencv_core.Mat;

/** JPEG: in colour or grey by OpenCV, for print by Java. */
final class JpegDecoder implements PhotoDecoder {
    /** All the ways in which a JPEG may be coded. */
    private static final Set<JpegSegmentType> FRAMES = EnumSet.of(
            JpegSegmentType.SOF0,
            JpegSegmentType.SOF1,
            JpegSegmentType.SOF2,
            JpegSegmentType.SOF3,
            JpegSegmentType.SOF5,
            JpegSegmentType.SOF6,
            JpegSegmentType.SOF7,
            JpegSegmentType.SOF9,
            JpegSegmentType.SOF10,
            JpegSegmentType.SOF11,
            JpegSegmentType.SOF13,
            JpegSegmentType.SOF14,
            JpegSegmentType.SOF15);

    private static final byte[] ICC = "ICC_PROFILE\0".getBytes(StandardCharsets.ISO_8859_1);
    /** Bytes read one by one before the frame of a picture inside another file: a few of each part. */
    private static final int MOST_BEFORE_FRAME_INSIDE = 2_000;
    /** Cameras and programs use a dozen at the most. */
    private static final int MOST_SCANS = 500;

    private static final int CHANNELS_FOR_PRINT = 4;

    @Override
    public PhotoHeader header(Path file) throws IOException, ImageProcessingException, MetadataException {
        StoredPixels stored;
        try (InputStream in = Files.newInputStream(file)) {
            stored = stored(new BoundedReader(new BufferedInputStream(in)), FRAMES);
        }
        try (InputStream in = Files.newInputStream(file)) {
            EndingReader reader = new EndingReader(in);
            JpegSegmentData segments = JpegSegmentReader.readSegments(reader, Set.of(JpegSegmentType.APP1));
            ToldMetadata told = ToldMetadata.of(exif(segments).flatMap(TiffDirectory::read))
                    .withXmp(segments.getSegments(JpegSegmentType.APP1))
                    .cut(reader.isCut());
            return new PhotoHeader(stored, told);
        }
    }

    /**
     * How the pixels of a JPEG inside another file lie; the ways in which sensors' samples are packed are none.
     *
     * @throws JpegProcessingException if there is none
     */
    static StoredPixels storedInside(InputStream in) throws IOException, ImageProcessingException, MetadataException {
        Set<JpegSegmentType> frames = EnumSet.of(JpegSegmentType.SOF0, JpegSegmentType.SOF1, JpegSegmentType.SOF2);
        BoundedReader reader = new BoundedReader(in, MOST_BEFORE_FRAME_INSIDE);
        return stored(reader, frames);
    }

    private static StoredPixels stored(BoundedReader reader, Set<JpegSegmentType> frames)
            throws IOException, ImageProcessingException, MetadataException {
        JpegSegmentData segments = JpegSegmentReader.readSegments(reader, frames);
        Metadata frame = new Metadata();
        for (JpegSegmentType type : frames) {
            for (byte[] segment : segments.getSegments(type)) {
                new JpegReader().extract(segment, frame, type);
            }
        }
        JpegDirectory told = frame.getFirstDirectoryOfType(JpegDirectory.class);
        if (told == null) {
            throw new ImageProcessingException("no frame");
        }
        return new StoredPixels(
                new PixelSize(told.getImageWidth(), told.getImageHeight()), told.getNumberOfComponents());
    }

    private static JpegSegmentData segments(InputStream in, JpegSegmentType wanted)
            throws IOException, JpegProcessingException {
        return JpegSegmentReader.readSegments(new EndingReader(in), Set.of(wanted));
    }

    /** Where more of a JPEG has been read than any photo says it seems to end, so that what was read until then counts. */
    private static final class EndingReader extends BoundedReader {
        private static final byte[] END = {(byte) 0xFF, (byte) 0xD9};
        private int ended;

        EndingReader(InputStream in) {
            super(new BufferedInputStream(in));
        }

        @Override
        public byte getByte() throws IOException {
            return isCut() ? END[ended++ % END.length] : super.getByte();
        }

        @Override
        public byte[] getBytes(int count) throws IOException {
            byte[] bytes = super.getBytes(count);
            return bytes.length == count ? bytes : new byte[count];
        }
    }

    private static Optional<byte[]> exif(JpegSegmentData segments) {
        for (byte[] segment : segments.getSegments(JpegSegmentType.APP1)) {
            if (SourceMetadata.hasPreamble(segment)) {
                return Optional.of(SourceMetadata.withoutPreamble(segment));
            }
        }
        return Optional.empty();
    }

    @Override
    public SourceMetadata metadata(Path file) throws IOException, ImageProcessingException {
        Optional<byte[]> exif;
        try (InputStream in = Files.newInputStream(file)) {
            exif = exif(segments(in, JpegSegmentType.APP1));
        }
        try (InputStream in = Files.newInputStream(file)) {
            return new SourceMetadata(exif, profile(in));
        }
    }

    /** The colour profile of a JPEG, which need not be a file of its own. Read for itself: colours are worth more than texts. */
    static Optional<ColourProfile> profile(InputStream in) throws IOException, JpegProcessingException {
        JpegSegmentData segments = segments(in, JpegSegmentType.APP2);
        TreeMap<Integer, byte[]> parts = new TreeMap<>();
        for (byte[] segment : segments.getSegments(JpegSegmentType.APP2)) {
            if (SourceMetadata.startsWith(segment, ICC) && segment.length > ICC.length + 2) {
                parts.put(segment[ICC.length] & 0xFF, Arrays.copyOfRange(segment, ICC.length + 2, segment.length));
            }
        }
        ByteArrayOutputStream icc = new ByteArrayOutputStream();
        parts.values().forEach(icc::writeBytes);
        return ColourProfile.read(icc.toByteArray());
    }

    @Override
    public void requireWhole(Path file) throws IOException, PhotoProblem {
        require(file.getFileName().toString(), JpegMarkers.of(file));
    }

    /** The file up to the end of its picture: decoders stumble over what some cameras put behind that. */
    @Override
    public byte[] whole(String name, byte[] file) throws PhotoProblem {
        JpegMarkers markers = JpegMarkers.of(file);
        require(name, markers);
        return markers.end() < file.length ? Arrays.copyOf(file, (int) markers.end()) : file;
    }

    private static void require(String name, JpegMarkers markers) throws PhotoProblem {
        if (markers.scans() > MOST_SCANS) {
            throw PhotoProblem.tooManyScans(name, markers.scans());
        }
        if (!markers.isWhole()) {
            throw new PhotoProblem(name, PhotoProblem.Reason.CUT_OFF);
        }
    }

    /** The TIFF block of a JPEG's EXIF. */
    static Optional<TiffDirectory> exifInside(InputStream in) throws IOException, JpegProcessingException {
        return exif(segments(in, JpegSegmentType.APP1)).flatMap(TiffDirectory::read);
    }

    @Override
    public Decoded full(byte[] whole, StoredPixels stored) throws IOException {
        return decoded(whole, stored, opencv_imgcodecs.IMREAD_UNCHANGED);
    }

    @Override
    public Decoded reduced(byte[] whole, StoredPixels stored, int longSide) throws IOException {
        return decoded(whole, stored, reduction(stored.longSide(), longSide));
    }

    private static Decoded decoded(byte[] whole, StoredPixels stored, int flags) throws IOException {
        return stored.channels() == CHANNELS_FOR_PRINT
                ? ImageIoPixels.decode(whole)
                : new Decoded(OpenCvPixels.decode(whole, flags), false);
    }

    /** The coarsest decoding that still has the pixels wanted. */
    private static int reduction(int stored, int wanted) {
        if (stored >= 8 * wanted) {
            return opencv_imgcodecs.IMREAD_REDUCED_COLOR_8;
        }
        if (stored >= 4 * wanted) {
            return opencv_imgcodecs.IMREAD_REDUCED_COLOR_4;
        }
        return stored >= 2 * wanted ? opencv_imgcodecs.IMREAD_REDUCED_COLOR_2 : opencv_imgcodecs.IMREAD_COLOR;
    }

    @Override
    public Optional<Mat> embedded(SourceMetadata metadata, StoredPixels stored) {
        return metadata.exif().flatMap(block -> EmbeddedThumbnail.of(block, stored.size()));
    }
}
