package nexa.imaging.pictures;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Preparation;
import nexa.imaging.decode.ColourProfile;
import nexa.imaging.decode.Decoded;
import nexa.imaging.decode.ExifOrientation;
import nexa.imaging.decode.Memory;
import nexa.imaging.decode.PhotoDecoder;
import nexa.imaging.decode.PhotoFile;
import nexa.imaging.decode.PhotoKind;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.decode.SourceMetadata;
import nexa.imaging.facts.PhotoFacts;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.raw.RawFraming;
import nexa.imaging.render.ClosedOnThrow;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;

/** Decodes a photo's pixels as they are seen: after the EXIF orientation, the quarter turn and mirroring. */
public final class PhotoPixels {
    private final Path file;
    private final String name;
    private final PhotoFacts facts;
    private final Preparation preparation;
    private Optional<SourceMetadata> metadata = Optional.empty();

    /**
     * Of a photo of a folder, which may know what it says of itself.
     *
     * @throws PhotoProblem if the photo cannot be read
     */
    public PhotoPixels(PhotoFolder folder, Photo photo) throws PhotoProblem {
        this(folder.file(photo.file()), folder.facts(photo.file()), photo);
    }

    /** @throws PhotoProblem if the photo cannot be read */
    public PhotoPixels(Path file, Photo photo) throws PhotoProblem {
        this(file, PhotoFacts.read(file), photo);
    }

    private PhotoPixels(Path file, PhotoFacts facts, Photo photo) {
        this.file = file;
        this.name = file.getFileName().toString();
        this.facts = facts;
        this.preparation = photo.preparation();
    }

    public PhotoFacts facts() {
        return facts;
    }

    /**
     * All pixels, in the photo's own colours where it has plain ones; see-through parts are on white. The caller closes it.
     */
    public FullPixels full(WantedDepth depth) throws PhotoProblem {
        Decoded decoded = decoded(Integer.MAX_VALUE, whole -> decoder().full(whole, facts.stored()));
        return ClosedOnThrow.with(decoded.pixels(), stored -> {
            Optional<ColourProfile> profile = decoded.isInSrgb()
                    ? Optional.of(ColourProfile.srgb())
                    : metadata().profile();
            // A camera's picture that stands for its raw file's pixels may have another size.
            Mat pixels = facts.kind() == PhotoKind.RAW
                    ? RawFraming.middle(stored, facts.stored().size())
                    : stored;
            return PixelStages.toMap(facts.orientation(), preparation, depth).apply(new FullPixels(pixels, profile));
        });
    }

    /**
     * All pixels of a raw file, this photo's own or the one beside it, otherwise as {@link #full}; empty if they are not those
     * of the photo: where they do not show what it does, or look otherwise.
     *
     * @throws PhotoProblem if nothing can be made of it
     */
    public Optional<RawPixels> raw(Path raw, WantedDepth depth) throws PhotoProblem {
        try {
            Optional<Mat> shown = shown();
            try {
                return RawPixels.of(raw, shown, facts.pixels()).map(made -> {
                    FullPixels finished = PixelStages.toMap(ExifOrientation.UPRIGHT, preparation, depth)
                            .apply(made.pixels());
                    return new RawPixels(finished, made.difference());
                });
            } finally {
                shown.ifPresent(Mat::close);
            }
        } catch (RuntimeException | OutOfMemoryError | StackOverflowError e) {
            throw PhotoProblem.of(name, e);
        }
    }

    /**
     * Whether the pixels of a raw file, this photo's own or the one beside it, are those of the photo; so it is taken to be
     * where there is no picture to tell it by.
     *
     * @throws PhotoProblem if nothing can be made of it
     */
    public boolean isLikeRaw(Path raw) throws PhotoProblem {
        try {
            Optional<Mat> shown = shown();
            try {
                return shown.isEmpty() || RawPixels.areLike(raw, shown.get(), facts.pixels());
            } finally {
                shown.ifPresent(Mat::close);
            }
        } catch (RuntimeException | OutOfMemoryError | StackOverflowError e) {
            throw PhotoProblem.of(name, e);
        }
    }

    /** The camera's picture of the photo, in sRGB, BGR of 8 bits, upright; empty where there is none. */
    private Optional<Mat> shown() throws PhotoProblem {
        if (!hasPicture()) {
            return Optional.empty();
        }
        return Optional.of(ClosedOnThrow.filled(screen(RawPixels.SHOWN, Preparation.NONE), shown -> {
            int channels = shown.channels();
            if (channels != 3) {
                opencv_imgproc.cvtColor(
                        shown, shown, channels == 1 ? opencv_imgproc.COLOR_GRAY2BGR : opencv_imgproc.COLOR_BGRA2BGR);
            }
        }));
    }

    /** Whether any of its pixels is see-through. */
    public boolean isSeeThrough() throws PhotoProblem {
        if (!facts.stored().mayBeSeeThrough()) {
            return false;
        }
        try (Mat pixels = decoded(Integer.MAX_VALUE, whole -> decoder().full(whole, facts.stored()))
                .pixels()) {
            return PixelStages.isSeeThrough(pixels);
        } catch (RuntimeException e) {
            throw PhotoProblem.of(name, e);
        }
    }

    /** Whether there is a picture in it that can be read as it is. */
    private boolean hasPicture() {
        return facts.kind() != PhotoKind.RAW || facts.stored().channels() > 0;
    }

    /** What the photo carries beside its pixels; read once. */
    public SourceMetadata metadata() throws PhotoProblem {
        if (metadata.isEmpty()) {
            metadata = Optional.of(SourceMetadata.read(file, facts.kind()));
        }
        return metadata.get();
    }

    /** A picture for the screen, its long side at most this. Small ones are never enlarged. */
    public Picture picture(int longSide) throws PhotoProblem {
        try (Mat pixels = screen(longSide, preparation)) {
            return Picture.of(pixels);
        }
    }

    /** Pixels for the screen: in sRGB, of 8 bits. */
    private Mat screen(int longSide, Preparation turned) throws PhotoProblem {
        if (!hasPicture()) {
            return PixelStages.toScreen(ExifOrientation.UPRIGHT, turned, longSide)
                    .apply(new FullPixels(RawPixels.half(file), Optional.empty()))
                    .pixels();
        }
        Decoded decoded = decoded(longSide, whole -> decoder().reduced(whole, facts.stored(), longSide));
        return ClosedOnThrow.with(decoded.pixels(), stored -> {
            // What is in sRGB already needs no profile to be shown.
            Optional<ColourProfile> profile =
                    decoded.isInSrgb() ? Optional.empty() : metadata().profile();
            return PixelStages.toScreen(facts.orientation(), turned, longSide)
                    .apply(new FullPixels(stored, profile))
                    .pixels();
        });
    }

    /** The small picture in the photo's EXIF block, which is there long before the photo is decoded; empty if none is. */
    public Optional<Picture> embedded() throws PhotoProblem {
        Optional<Mat> thumbnail = decoder().embedded(metadata(), facts.stored());
        if (thumbnail.isEmpty()) {
            return Optional.empty();
        }
        try (FullPixels stored = new FullPixels(thumbnail.get(), Optional.empty())) {
            return Optional.of(Picture.of(PixelStages.ofEmbedded(facts.orientation(), preparation)
                    .apply(stored)
                    .pixels()));
        }
    }

    private PhotoDecoder decoder() {
        return facts.kind().decoder();
    }

    /** Something that decodes what of a file is its picture. */
    private interface Decoding {
        Decoded of(byte[] whole) throws IOException;
    }

    private Decoded decoded(int longSide, Decoding decoding) throws PhotoProblem {
        byte[] whole = decoder().whole(name, bytes(longSide));
        try {
            Decoded decoded = decoding.of(whole);
            if (decoded.pixels().empty()) {
                Memory.require(facts.stored().size());
                throw new PhotoProblem(name, PhotoProblem.Reason.DAMAGED);
            }
            return decoded;
        } catch (IOException | RuntimeException | OutOfMemoryError | StackOverflowError e) {
            throw PhotoProblem.of(name, e);
        }
    }

    private byte[] bytes(int longSide) throws PhotoProblem {
        try {
            return decoder().read(file, longSide);
        } catch (IOException e) {
            throw PhotoFile.problem(file, e);
        } catch (OutOfMemoryError e) {
            throw PhotoProblem.of(name, e);
        }
    }
}
