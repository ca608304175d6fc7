package nexa.core.lens;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import nexa.core.shape.Distortion;
import nexa.core.shape.LateralChromaticAberration;
import nexa.core.shape.Lens;
import nexa.core.shape.LensProfile;

/**
 * A lens and what was measured of it.
 *
 * @param maker of the lens
 * @param model as photos taken with it name it
 * @param mounts of the cameras it fits
 * @param cropFactor of the camera it was measured with, 0.2 … 20
 * @param aspect long side over short side of that camera's photos, 1 … 4
 * @param isRectilinear whether it is meant to draw straight lines straight; of another one the bending is left alone
 */
public record KnownLens(
        String maker,
        String model,
        Set<String> mounts,
        double cropFactor,
        double aspect,
        boolean isRectilinear,
        List<AtFocal<Distortion>> distortion,
        List<AtFocal<LateralChromaticAberration>> fringes,
        List<VignettingSample> darkening) {
    /** Of a distance that the photo does not tell, in metres. */
    private static final double FAR = 1000;

    /** Focal lengths nearer to each other, in millimetres, are one. */
    private static final double SAME_FOCAL = 0.5;

    private static final Pattern RANGE = Pattern.compile("(\\d+(?:\\.\\d+)?)(?:\\s*-\\s*(\\d+(?:\\.\\d+)?))?\\s*mm");

    /** @throws IllegalArgumentException for a crop factor or aspect out of range */
    public KnownLens {
        Lens.requireCropFactor(cropFactor);
        LensProfile.requireAspect(aspect);
        mounts = Set.copyOf(mounts);
        distortion = List.copyOf(distortion);
        fringes = List.copyOf(fringes);
        darkening = List.copyOf(darkening);
    }

    /** A lens of which nothing was measured yet. */
    public static KnownLens unmeasured(
            String maker, String model, Set<String> mounts, double cropFactor, double aspect) {
        return new KnownLens(maker, model, mounts, cropFactor, aspect, true, List.of(), List.of(), List.of());
    }

    /** The same as if its bending had not been measured. */
    KnownLens withoutBending() {
        return new KnownLens(maker, model, mounts, cropFactor, aspect, true, List.of(), fringes, darkening);
    }

    /**
     * Its faults in a photo; empty where the photo does not say its focal length and the lens has several, and where its
     * measurements make no lens there.
     */
    public Optional<LensProfile> profile(Taken taken) {
        OptionalDouble focal = taken.focal().isPresent() ? taken.focal() : onlyFocal();
        if (focal.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(profile(taken, focal.getAsDouble()));
        } catch (IllegalArgumentException e) {
            // Measurements that each may be true, and between which no lens could lie.
            return Optional.empty();
        }
    }

    private LensProfile profile(Taken taken, double at) {
        List<Double> light = taken.aperture().isEmpty()
                ? List.of()
                : Between.darkening(
                        darkening,
                        at,
                        taken.aperture().getAsDouble(),
                        taken.distance().orElse(FAR),
                        span());
        return new LensProfile(
                model,
                cropFactor,
                aspect,
                isRectilinear ? Between.distortion(distortion, at) : Optional.empty(),
                Between.fringes(fringes, at),
                LensProfile.canBeEvened(light) ? light : List.of());
    }

    /** The same with its bending at a focal length, in place of what was measured there before. */
    public KnownLens with(AtFocal<Distortion> measured) {
        List<AtFocal<Distortion>> all = Stream.concat(
                        distortion.stream().filter(one -> Math.abs(one.focal() - measured.focal()) > SAME_FOCAL),
                        Stream.of(measured))
                .sorted(Comparator.comparingDouble(AtFocal::focal))
                .toList();
        return new KnownLens(maker, model, mounts, cropFactor, aspect, isRectilinear, all, fringes, darkening);
    }

    private OptionalDouble onlyFocal() {
        double[] measured = Stream.of(distortion, fringes)
                .flatMap(List::stream)
                .mapToDouble(AtFocal::focal)
                .distinct()
                .toArray();
        return measured.length == 1 ? OptionalDouble.of(measured[0]) : OptionalDouble.empty();
    }

    /** The range of focal lengths that its name tells, unless a darkening was measured outside it: then the range of those. */
    double span() {
        double shortest =
                darkening.stream().mapToDouble(VignettingSample::focal).min().orElse(0);
        double longest =
                darkening.stream().mapToDouble(VignettingSample::focal).max().orElse(0);
        Matcher named = RANGE.matcher(model.toLowerCase(Locale.ROOT));
        if (named.find()) {
            double from = Double.parseDouble(named.group(1));
            double to = named.group(2) == null ? from : Double.parseDouble(named.group(2));
            if (from <= shortest && longest <= to) {
                return Math.max(1, to - from);
            }
        }
        return Math.max(1, longest - shortest);
    }
}
