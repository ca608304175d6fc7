package nexa.imaging.deliver;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.FileSpec;
import nexa.core.format.OutputSize;
import nexa.core.format.PixelSize;
import nexa.core.series.FillPlan;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Photo;
import nexa.imaging.decode.ColourProfile;
import nexa.imaging.decode.PhotoFile;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.decode.SourceMetadata;
import nexa.imaging.fill.EdgeFill;
import nexa.imaging.pictures.FullPixels;
import nexa.imaging.pictures.PhotoPixels;
import nexa.imaging.pictures.PixelStages;
import nexa.imaging.render.Canvas;
import nexa.imaging.render.CropRenderer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * Makes the files of one photo. The photo is decoded at most once, when the first of its files is made, with 16 bits where
 * any of them wants these.
 */
final class FileMaking implements AutoCloseable {
    private final Photo photo;
    private final Path source;
    private final DeliveryTerms terms;
    private final boolean isDeep;
    private final boolean isDeepened;
    private final Map<EdgeFill.Key, EdgeFill> fills = new HashMap<>();
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
        this.isDeep = items.stream().anyMatch(item -> item.format().file().mayBeDeep());
        this.isDeepened = items.stream()
                .map(item -> item.format().file())
                .anyMatch(spec -> spec.mayBeDeep() && spec.depth() == FileSpec.Depth.SIXTEEN);
    }

    /** One of the photo's files. */
    DeliveryItem file(DeliveryPlan.Item item) {
        return new DeliveryItem() {
            @Override
            public String name() {
                return item.name();
            }

            @Override
            public String making() throws PhotoProblem {
                return FileMaking.this.making(item);
            }

            @Override
            public Made made() throws PhotoProblem {
                return FileMaking.this.made(item);
            }
        };
    }

    private String making(DeliveryPlan.Item item) throws PhotoProblem {
        try {
            Path file = PhotoFile.of(source, photo.file());
            BasicFileAttributes attributes = Files.readAttributes(file, BasicFileAttributes.class);
            String all = String.join(
                    "|",
                    photo.file(),
                    String.valueOf(attributes.size()),
                    attributes.lastModifiedTime().toString(),
                    photo.preparation().fingerprint(),
                    item.crop().crop()
                            + FillPlan.of(item.crop())
                                    .map(FillPlan::fingerprint)
                                    .orElse(""),
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

    private Made made(DeliveryPlan.Item item) throws PhotoProblem {
        FileSpec spec = item.format().file();
        PixelSize size = item.crop().output();
        FullPixels pixels = pixels();
        try (Mat result = cropped(pixels, item.crop(), size)) {
            boolean isDeep = spec.mayBeDeep() && (spec.depth() == FileSpec.Depth.SIXTEEN || isPhotoDeep);
            FullPixels finished = PixelStages.toFile(spec, photo.preparation().edge(), isDeep)
                    .apply(new FullPixels(result, pixels.profile()));
            return FileFormat.of(spec.type())
                    .encode(new FileFormat.Contents(
                            finished.pixels(),
                            spec,
                            finished.profile().map(ColourProfile::bytes),
                            DeliveredExif.of(metadata.exif(), size, terms, spec.colour() == FileSpec.Colour.SRGB),
                            paperPpi(item),
                            terms));
        }
    }

    private Mat cropped(FullPixels pixels, PhotoCrop crop, PixelSize size) throws PhotoProblem {
        Optional<FillPlan> plan = FillPlan.of(crop);
        if (plan.isEmpty()) {
            return CropRenderer.render(pixels.pixels(), photo, crop.crop(), size);
        }
        try (Canvas canvas = fill(plan.get()).canvas(pixels.pixels(), pixels.profile())) {
            return CropRenderer.render(canvas, photo, plan.get().stretch(), crop.crop(), size);
        }
    }

    private EdgeFill fill(FillPlan plan) throws PhotoProblem {
        EdgeFill.Key key = EdgeFill.Key.of(plan);
        EdgeFill fill = fills.get(key);
        if (fill == null) {
            PhotoPixels reading = new PhotoPixels(PhotoFile.of(source, photo.file()), photo);
            try (Mat small = reading.picture(EdgeFill.SMALL).mat()) {
                fill = EdgeFill.of(plan, small);
            }
            fills.put(key, fill);
        }
        return fill;
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
                PixelStages.deepen(decoded.pixels());
            }
            full = Optional.of(decoded);
        }
        return full.get();
    }

    /** The pixels an inch written into a file for paper: those asked for, or what its own pixels give. */
    private static OptionalDouble paperPpi(DeliveryPlan.Item item) {
        if (item.format().size() instanceof OutputSize.Print print) {
            boolean isAsAsked = item.crop().output().equals(item.crop().asked());
            return isAsAsked ? OptionalDouble.of(print.ppi()) : item.crop().effectivePpi();
        }
        return OptionalDouble.empty();
    }

    @Override
    public void close() {
        full.ifPresent(FullPixels::close);
    }
}
