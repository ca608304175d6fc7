package nexa.imaging.deliver;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Stream;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.FileSpec;
import nexa.core.format.OutputSize;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Fingerprint;
import nexa.core.series.FillPlan;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Beyond;
import nexa.core.shoot.Photo;
import nexa.imaging.decode.ColourProfile;
import nexa.imaging.decode.PhotoFile;
import nexa.imaging.decode.PhotoKind;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.fill.EdgeFill;
import nexa.imaging.pictures.FullPixels;
import nexa.imaging.pictures.PhotoPixels;
import nexa.imaging.pictures.PixelStages;
import nexa.imaging.pictures.WantedDepth;
import nexa.imaging.raw.RawAvailability;
import nexa.imaging.render.Canvas;
import nexa.imaging.render.CropRenderer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * Makes the files of one photo. Each of the photo's own files is decoded at most once, when the first that is made of it is
 * wanted, as finely as any of them wants it.
 */
final class CropExport implements AutoCloseable {
    private final Photo photo;
    private final PhotoFolder folder;
    private final DeliveryTerms terms;
    private final WantedDepth depth;
    private final Map<EdgeFill.Key, EdgeFill> fills = new HashMap<>();

    private Optional<PhotoKind> kind = Optional.empty();
    private Optional<RawAvailability> standing = Optional.empty();
    private Optional<PhotoPixels> opened = Optional.empty();
    private Optional<Source> own = Optional.empty();
    private Optional<Source> raw = Optional.empty();

    /**
     * All pixels of the photo, of one of its files.
     *
     * @param isDeep whether the file has 16 bits of its own
     * @param difference see {@link PixelOrigin}
     */
    private record Source(FullPixels pixels, boolean isDeep, OptionalDouble difference) {}

    /**
     * Nothing is read yet.
     *
     * @param items all of the same photo, at least one
     */
    CropExport(PhotoFolder folder, List<DeliveryPlan.Item> items, DeliveryTerms terms) {
        this.photo = items.get(0).photo();
        this.folder = folder;
        this.terms = terms;
        this.depth = depth(items);
    }

    /** What suits all of them. */
    static WantedDepth depth(List<DeliveryPlan.Item> items) {
        return items.stream()
                .map(item -> item.format().file())
                .filter(FileSpec::mayBeDeep)
                .map(spec -> spec.depth() == FileSpec.Depth.SIXTEEN ? WantedDepth.SIXTEEN : WantedDepth.STORED)
                .max(Comparator.naturalOrder())
                .orElse(WantedDepth.EIGHT);
    }

    /** One of the photo's files. */
    DeliveryItem file(DeliveryPlan.Item item) {
        return new DeliveryItem() {
            @Override
            public String name() {
                return item.name();
            }

            @Override
            public String contentKey() throws PhotoProblem {
                return CropExport.this.contentKey(item);
            }

            @Override
            public boolean uses(MakingStep step) throws PhotoProblem {
                return CropExport.this.uses(item, step);
            }

            @Override
            public PixelOrigin origin() throws PhotoProblem {
                return CropExport.this.origin(item);
            }

            @Override
            public Made made() throws PhotoProblem {
                return CropExport.this.made(item);
            }
        };
    }

    private String contentKey(DeliveryPlan.Item item) throws PhotoProblem {
        try {
            String all = String.join(
                    "|",
                    photo.file(),
                    stamp(folder.file(photo.file())),
                    rawStamp(item),
                    photo.preparation().fingerprint(),
                    item.crop().crop().fingerprint()
                            + FillPlan.of(item.crop())
                                    .map(FillPlan::fingerprint)
                                    .orElse(""),
                    item.crop().output().fingerprint(),
                    item.format().file().fingerprint(),
                    Fingerprint.optional(paperPpi(item)),
                    terms.fingerprint());
            return UUID.nameUUIDFromBytes(all.getBytes(StandardCharsets.UTF_8)).toString();
        } catch (NoSuchFileException e) {
            throw new PhotoProblem(photo.file(), PhotoProblem.Reason.MISSING, e);
        } catch (IOException e) {
            throw new PhotoProblem(photo.file(), PhotoProblem.Reason.NO_ACCESS, e);
        }
    }

    private boolean uses(DeliveryPlan.Item item, MakingStep step) throws PhotoProblem {
        FileSpec spec = item.format().file();
        FileSpec.Type type = spec.type();
        Optional<FillPlan> plan = FillPlan.of(item.crop());
        return switch (step) {
            case JPEG -> type == FileSpec.Type.JPEG;
            case PNG -> type == FileSpec.Type.PNG;
            case TIFF -> type == FileSpec.Type.TIFF;
            case CAMERA_DATA -> terms.cameraData() && opened().metadata().exif().isPresent();
            case WARP -> isWarped(plan);
            case RESIZED ->
                !isWarped(plan)
                        && !PixelSize.nearest(item.crop().crop().size())
                                .equals(item.crop().output());
            case DEEP_TONES ->
                spec.mayBeDeep()
                        && spec.depth() != FileSpec.Depth.EIGHT
                        && PixelStages.areTonesChanged(photo.preparation());
            case TRIMMED_FILL ->
                !photo.preparation().trim().isNone()
                        && plan.filter(fill -> fill.fill() == Beyond.Fill.COLOUR)
                                .isPresent();
            case RAW -> origin(item).isRaw();
        };
    }

    private boolean isWarped(Optional<FillPlan> plan) {
        return CropRenderer.isWarped(photo, plan.flatMap(FillPlan::stretch));
    }

    private static String stamp(Path file) throws IOException {
        BasicFileAttributes attributes = Files.readAttributes(file, BasicFileAttributes.class);
        return attributes.size() + "|" + attributes.lastModifiedTime();
    }

    /** Empty for a photo without a raw file, so that what was delivered of it before there were any is known again. */
    private String rawStamp(DeliveryPlan.Item item) throws PhotoProblem, IOException {
        PixelOrigin origin = origin(item);
        return origin.raw().isEmpty() ? "" : origin.words() + (origin.isRaw() ? "|" + stamp(rawFile()) : "");
    }

    private Path rawFile() throws PhotoProblem {
        return folder.file(photo.raw().orElse(photo.file()));
    }

    private PixelOrigin origin(DeliveryPlan.Item item) throws PhotoProblem {
        if (!photo.wantsRaw(item.format()) || photo.raw().isEmpty() && !isRawAlone()) {
            return PixelOrigin.UNKNOWN;
        }
        if (standing.isEmpty()) {
            standing = Optional.of(RawAvailability.of(rawFile()));
        }
        return new PixelOrigin(standing, raw.map(Source::difference).orElse(OptionalDouble.empty()));
    }

    private boolean isRawAlone() throws PhotoProblem {
        if (kind.isEmpty()) {
            Path file = folder.file(photo.file());
            try {
                kind = PhotoKind.of(file);
            } catch (IOException e) {
                throw PhotoFile.problem(file, e);
            }
        }
        return kind.equals(Optional.of(PhotoKind.RAW));
    }

    private PhotoPixels opened() throws PhotoProblem {
        if (opened.isEmpty()) {
            opened = Optional.of(new PhotoPixels(folder, photo));
        }
        return opened.get();
    }

    private Made made(DeliveryPlan.Item item) throws PhotoProblem {
        FileSpec spec = item.format().file();
        PixelSize size = item.crop().output();
        Source made = source(item);
        FullPixels pixels = made.pixels();
        try (Mat result = cropped(pixels, item.crop(), size)) {
            boolean isDeep = spec.mayBeDeep() && (spec.depth() == FileSpec.Depth.SIXTEEN || made.isDeep());
            FullPixels finished = PixelStages.toFile(spec, photo.preparation(), isDeep)
                    .apply(new FullPixels(result, pixels.profile()));
            return FileFormat.of(spec.type())
                    .encode(new FileFormat.Contents(
                            finished.pixels(),
                            spec,
                            finished.profile().map(ColourProfile::bytes),
                            DeliveredExif.of(
                                    opened().metadata().exif(), size, terms, spec.colour() == FileSpec.Colour.SRGB),
                            paperPpi(item)));
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
            try (Mat small = opened().picture(EdgeFill.SMALL).mat()) {
                fill = EdgeFill.of(plan, small);
            }
            fills.put(key, fill);
        }
        return fill;
    }

    /** Those of the raw file where they are wanted, and are the photo's; else its own. */
    private Source source(DeliveryPlan.Item item) throws PhotoProblem {
        requireSame();
        if (origin(item).isRaw()) {
            if (raw.isEmpty()) {
                raw = opened().raw(rawFile(), depth).map(made -> source(made.pixels(), made.difference()));
            }
            if (raw.isPresent()) {
                return raw.get();
            }
            standing = Optional.of(RawAvailability.UNLIKE);
        }
        if (own.isEmpty()) {
            own = Optional.of(source(opened().full(depth), OptionalDouble.empty()));
        }
        return own.get();
    }

    private void requireSame() throws PhotoProblem {
        if (!photo.pixels().equals(Optional.of(opened().facts().pixels()))) {
            throw new PhotoProblem(photo.file(), PhotoProblem.Reason.CHANGED);
        }
    }

    private static Source source(FullPixels pixels, OptionalDouble difference) {
        return new Source(pixels, pixels.pixels().depth() == opencv_core.CV_16U, difference);
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
        Stream.of(own, raw)
                .flatMap(Optional::stream)
                .forEach(made -> made.pixels().close());
    }
}
