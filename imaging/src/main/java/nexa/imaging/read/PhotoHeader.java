package nexa.imaging.read;

import com.drew.imaging.ImageProcessingException;
import com.drew.imaging.jpeg.JpegSegmentData;
import com.drew.imaging.jpeg.JpegSegmentReader;
import com.drew.imaging.jpeg.JpegSegmentType;
import com.drew.imaging.png.PngChunk;
import com.drew.imaging.png.PngChunkType;
import com.drew.imaging.png.PngHeader;
import com.drew.imaging.riff.RiffReader;
import com.drew.lang.ByteArrayReader;
import com.drew.lang.RandomAccessFileReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifReader;
import com.drew.metadata.jpeg.JpegDirectory;
import com.drew.metadata.jpeg.JpegReader;
import com.drew.metadata.webp.WebpDirectory;
import com.drew.metadata.webp.WebpRiffHandler;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import nexa.core.format.PixelSize;

/**
 * What a photo's file says before its pixels. Only what is wanted is read, within bounds: texts that unpack to gigabytes and
 * chains of directories without end are passed over.
 *
 * @param stored the size as stored
 * @param channels of a JPEG: 1 grey, 3 colour, 4 for print; 0 where it does not matter
 * @param exif what its EXIF block says, empty if there is none; without the maker's notes
 */
record PhotoHeader(PixelSize stored, int channels, Metadata exif) {
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

    private static final Set<String> WEBP_SIZES = Set.of("VP8X", "VP8L", "VP8 ");

    static PhotoHeader read(Path file, PhotoKind kind) throws IOException, ImageProcessingException {
        try {
            return switch (kind) {
                case JPEG -> jpeg(file);
                case PNG -> png(file);
                case WEBP -> webp(file);
                case TIFF -> tiff(file);
            };
        } catch (MetadataException | IllegalArgumentException e) {
            throw new ImageProcessingException(e);
        }
    }

    private static Metadata exif(Optional<TiffDirectory> directory) {
        Metadata told = new Metadata();
        // Read from a block made anew, so that nothing in it can lead the reader astray.
        directory.ifPresent(found ->
                new ExifReader().extract(new ByteArrayReader(withoutNotes(found).block()), told));
        return told;
    }

    private static TiffDirectory withoutNotes(TiffDirectory directory) {
        return directory
                .below(TiffDirectory.EXIF)
                .map(exif -> directory.withBelow(TiffDirectory.EXIF, exif.only(tag -> tag != TiffDirectory.MAKER_NOTE)))
                .orElse(directory);
    }

    private static PhotoHeader jpeg(Path file) throws IOException, ImageProcessingException, MetadataException {
        try (InputStream in = SourceMetadata.bounded(file)) {
            JpegSegmentData segments = JpegSegmentReader.readSegments(new BoundedReader(in), segmentTypes());
            Metadata frame = new Metadata();
            for (JpegSegmentType type : FRAMES) {
                for (byte[] segment : segments.getSegments(type)) {
                    new JpegReader().extract(segment, frame, type);
                }
            }
            JpegDirectory told = frame.getFirstDirectoryOfType(JpegDirectory.class);
            if (told == null) {
                throw new ImageProcessingException("no frame");
            }
            return new PhotoHeader(
                    new PixelSize(told.getImageWidth(), told.getImageHeight()),
                    told.getNumberOfComponents(),
                    exif(SourceMetadata.exif(segments).flatMap(TiffDirectory::read)));
        }
    }

    private static Set<JpegSegmentType> segmentTypes() {
        Set<JpegSegmentType> types = EnumSet.copyOf(FRAMES);
        types.add(JpegSegmentType.APP1);
        return types;
    }

    private static PhotoHeader png(Path file) throws IOException, ImageProcessingException {
        PngHeader header = null;
        Optional<TiffDirectory> directory = Optional.empty();
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
            for (PngChunk chunk : SourceMetadata.chunks(in, Set.of(PngChunkType.IHDR, PngChunkType.eXIf))) {
                if (chunk.getType().equals(PngChunkType.IHDR)) {
                    header = new PngHeader(chunk.getBytes());
                } else {
                    directory = TiffDirectory.read(chunk.getBytes());
                }
            }
        }
        if (header == null) {
            throw new ImageProcessingException("no header");
        }
        return new PhotoHeader(new PixelSize(header.getImageWidth(), header.getImageHeight()), 0, exif(directory));
    }

    private static PhotoHeader webp(Path file) throws IOException, ImageProcessingException, MetadataException {
        Metadata sizes = new Metadata();
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
            new RiffReader().processRiff(new BoundedReader(in), new WebpRiffHandler(sizes) {
                @Override
                public boolean shouldAcceptChunk(String name) {
                    return WEBP_SIZES.contains(name);
                }
            });
        }
        WebpDirectory told = sizes.getFirstDirectoryOfType(WebpDirectory.class);
        if (told == null) {
            throw new ImageProcessingException("no size");
        }
        Optional<byte[]> block = SourceMetadata.webp(file).exif();
        return new PhotoHeader(
                new PixelSize(told.getInt(WebpDirectory.TAG_IMAGE_WIDTH), told.getInt(WebpDirectory.TAG_IMAGE_HEIGHT)),
                0,
                exif(block.flatMap(TiffDirectory::read)));
    }

    private static PhotoHeader tiff(Path file) throws IOException, ImageProcessingException {
        try (RandomAccessFile in = new RandomAccessFile(file.toFile(), "r")) {
            TiffDirectory first = TiffDirectory.read(new RandomAccessFileReader(in))
                    .orElseThrow(() -> new ImageProcessingException("no directory"));
            long width = first.number(SourceMetadata.TIFF_WIDTH).orElse(0);
            long height = first.number(SourceMetadata.TIFF_HEIGHT).orElse(0);
            return new PhotoHeader(
                    new PixelSize(Math.toIntExact(width), Math.toIntExact(height)),
                    0,
                    exif(Optional.of(first.only(SourceMetadata.OF_THE_PHOTO::contains))));
        }
    }
}
