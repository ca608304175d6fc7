package nexa.imaging.decode;

import com.drew.imaging.FileType;
import com.drew.imaging.FileTypeDetector;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.stream.Stream;

/** The kinds of photo that can be read, told by their contents and never by their names. */
public enum PhotoKind {
    JPEG(FileType.Jpeg, new JpegDecoder()),
    PNG(FileType.Png, new PngDecoder()),
    TIFF(FileType.Tiff, new TiffDecoder()),
    WEBP(FileType.WebP, new WebpDecoder()),
    /** What a sensor saw, by many makers' rules, with the picture that the camera made of it inside. */
    RAW(FileType.Unknown, new RawDecoder());

    private final FileType type;
    private final PhotoDecoder decoder;

    PhotoKind(FileType type, PhotoDecoder decoder) {
        this.type = type;
        this.decoder = decoder;
    }

    public PhotoDecoder decoder() {
        return decoder;
    }

    /** The kind of a file; empty for anything else. */
    public static Optional<PhotoKind> of(Path file) throws IOException {
        // Most raw files look like a TIFF at first.
        if (RawFile.isRaw(file)) {
            return Optional.of(RAW);
        }
        try (BufferedInputStream in = new BufferedInputStream(Files.newInputStream(file))) {
            FileType found = FileTypeDetector.detectFileType(in);
            return Stream.of(values())
                    .filter(kind -> kind != RAW && kind.type == found)
                    .findFirst();
        }
    }
}
