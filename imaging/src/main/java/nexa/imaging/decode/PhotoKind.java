package nexa.imaging.decode;

import com.drew.imaging.FileType;
import com.drew.imaging.FileTypeDetector;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.util.Optional;
import java.util.stream.Stream;

/** The kinds of photo that can be read, told by their contents and never by their names. */
public enum PhotoKind {
    JPEG(FileType.Jpeg, new JpegDecoder()),
    PNG(FileType.Png, new PngDecoder()),
    TIFF(FileType.Tiff, new TiffDecoder()),
    WEBP(FileType.WebP, new WebpDecoder());

    private final FileType type;
    private final PhotoDecoder decoder;

    PhotoKind(FileType type, PhotoDecoder decoder) {
        this.type = type;
        this.decoder = decoder;
    }

    public PhotoDecoder decoder() {
        return decoder;
    }

    /** The kind of what a stream begins with; the stream is left where it was. Empty for anything else. */
    public static Optional<PhotoKind> of(BufferedInputStream in) throws IOException {
        FileType found = FileTypeDetector.detectFileType(in);
        return Stream.of(values()).filter(kind -> kind.type == found).findFirst();
    }
}
