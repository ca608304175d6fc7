package nexa.imaging.deliver;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.FileSpec;
import nexa.core.format.OutputSize;
import nexa.core.format.PixelSize;
import nexa.core.shoot.Photo;
import nexa.imaging.read.ColourProfile;
import nexa.imaging.read.FullPixels;
import nexa.imaging.read.PhotoFile;
import nexa.imaging.read.PhotoPixels;
import nexa.imaging.read.PhotoProblem;
import nexa.imaging.read.SourceMetadata;
import nexa.imaging.render.CropRenderer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * Makes the files of one photo. The photo is decoded at most once, when the first of its files is made, with 16 bits where
 * any of them wants these.
 */
final class FileMaking implements AutoCloseable {
    private static final double SIXTEEN_OVER_EIGHT = 257;

    private final Photo photo;
    private final Path source;
    private final DeliveryTerms terms;
    private final boolean isDeep;
    private final boolean isDeepened;
    private Optional<FullPixels> full = Optional.empty();
    private SourceMetadata metadata;
    private boolean isPhotoDeep;

    /**
     * Nothing is read yet.
     *
     * @param source the folder of the photos
     * @param items all of the same photo, at least one
     */
    FileMaking(Path source, List<DeliveryPlan.Item> items, DeliveryTerms terms) {
        this.photo = items.get(0).photo();
        this.source = source;
        this.terms = terms;
        this.isDeep = items.stream().anyMatch(item -> mayBeDeep(item.format().file()));
        this.isDeepened = items.stream()
                .map(item -> item.format().file())
                .anyMatch(spec -> mayBeDeep(spec) && spec.depth() == FileSpec.Depth.SIXTEEN);
    }

    private static boolean mayBeDeep(FileSpec spec) {
        return spec.type() != FileSpec.Type.JPEG && spec.depth() != FileSpec.Depth.EIGHT;
    }

    /** What a file is made of, in a few letters: when this is the same, the file comes out the same. */
    String making(DeliveryPlan.Item item) throws PhotoProblem {
        try {
            Path file = PhotoFile.of(source, photo.file());
            BasicFileAttributes attributes = Files.readAttributes(file, BasicFileAttributes.class);
            String all = String.join(
                    "|",
                    photo.file(),
                    String.valueOf(attributes.size()),
                    attributes.lastModifiedTime().toString(),
                    photo.preparation().fingerprint(),
                    item.crop().crop().toString(),
                    item.crop().output().toString(),
                    item.format().file().toString(),
                    paperPpi(item).toString(),
                    // Replacing and listing make no other file.
                    terms.withReplacesOwn(true).withList(true).toString());
            return UUID.nameUUIDFromBytes(all.getBytes(StandardCharsets.UTF_8)).toString();
        } catch (NoSuchFileException e) {
            throw new PhotoProblem(photo.file(), PhotoProblem.Reason.MISSING, e);
        } catch (IOException e) {
            throw new PhotoProblem(photo.file(), PhotoProblem.Reason.NO_ACCESS, e);
        }
    }

    /**
     * A file made.
     *
     * @param left what had to stay behind, in words; empty if nothing had to
     */
    record Made(byte[] contents, Optional<String> left) {}

    /** Makes a file. */
    Made contents(DeliveryPlan.Item item) throws PhotoProblem {
        FileSpec spec = item.format().file();
        PixelSize size = item.crop().output();
        FullPixels pixels = pixels();
        try (Mat result = CropRenderer.render(pixels.pixels(), item.crop().crop(), photo.angle(), size)) {
            Optional<ColourProfile> profile = pixels.profile();
            if (spec.colour() == FileSpec.Colour.SRGB) {
                toSrgb(result, profile);
                profile = Optional.of(ColourProfile.srgb());
            }
            boolean isTooDeep = !mayBeDeep(spec) || spec.depth() == FileSpec.Depth.PHOTO && !isPhotoDeep;
            if (isTooDeep && result.depth() == opencv_core.CV_16U) {
                result.convertTo(result, opencv_core.CV_8U, 1 / SIXTEEN_OVER_EIGHT, 0);
            }
            Optional<byte[]> icc = profile.map(ColourProfile::bytes);
            Optional<byte[]> exif =
                    ExifBlock.delivered(metadata.exif(), size, terms, spec.colour() == FileSpec.Colour.SRGB);
            return switch (spec.type()) {
                case JPEG -> jpeg(result, item, icc, exif);
                case PNG -> made(PngFile.encode(result, icc, exif, paperPpi(item)));
                case TIFF -> made(ExifBlock.joined(TiffFile.encode(result, icc, paperPpi(item)), exif, terms));
            };
        }
    }

    private static Made made(byte[] contents) {
        return new Made(contents, Optional.empty());
    }

    private static Made jpeg(Mat pixels, DeliveryPlan.Item item, Optional<byte[]> icc, Optional<byte[]> exif) {
        Optional<ExifBlock.Fitted> fitted = exif.map(block -> ExifBlock.fitted(block, JpegFile.MOST_EXIF));
        byte[] contents =
                JpegFile.encode(pixels, item.format().file(), icc, fitted.map(ExifBlock.Fitted::block), paperPpi(item));
        String what =
                fitted.map(ExifBlock.Fitted::isWhole).orElse(true) ? "the maker's notes" : "part of the camera data";
        return new Made(
                contents,
                fitted.filter(block -> !block.hasNotes())
                        .map(block -> "without " + what + ", which a JPEG has no room for"));
    }

    private static void toSrgb(Mat pixels, Optional<ColourProfile> profile) {
        profile.ifPresent(from -> from.toSrgb(pixels));
        // Grey has no place in a file whose profile has three colours.
        if (pixels.channels() == 1) {
            opencv_imgproc.cvtColor(pixels, pixels, opencv_imgproc.COLOR_GRAY2BGR);
        }
    }

    private FullPixels pixels() throws PhotoProblem {
        if (full.isEmpty()) {
            PhotoPixels reading = new PhotoPixels(PhotoFile.of(source, photo.file()), photo);
            if (!photo.pixels().equals(Optional.of(reading.facts().pixels()))) {
                throw new PhotoProblem(photo.file(), PhotoProblem.Reason.CHANGED);
            }
            metadata = reading.metadata();
            FullPixels decoded = reading.full(isDeep);
            isPhotoDeep = decoded.pixels().depth() == opencv_core.CV_16U;
            if (isDeepened && !isPhotoDeep) {
                decoded.pixels().convertTo(decoded.pixels(), opencv_core.CV_16U, SIXTEEN_OVER_EIGHT, 0);
            }
            full = Optional.of(decoded);
        }
        return full.get();
    }

    /** The pixels an inch written into a file for paper: those asked for, or what its own pixels give. */
    private static OptionalDouble paperPpi(DeliveryPlan.Item item) {
        if (item.format().size() instanceof OutputSize.Print print) {
            boolean isAsAsked = item.crop().output().equals(item.crop().asked());
            return isAsAsked ? OptionalDouble.of(print.ppi()) : item.crop().ppi();
        }
        return OptionalDouble.empty();
    }

    @Override
    public void close() {
        full.ifPresent(FullPixels::close);
    }
}
