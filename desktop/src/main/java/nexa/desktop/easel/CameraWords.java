package nexa.desktop.easel;

import java.util.ArrayList;
import java.util.List;
import nexa.desktop.parts.Words;
import nexa.imaging.facts.CameraData;
import nexa.imaging.facts.CaptureTime;
import nexa.imaging.facts.PhotoFacts;

/** How a photo was taken, in two short lines. */
final class CameraWords {
    private static final double BLINK = 0.3;

    private CameraWords() {}

    /** When, and with which camera and lens; empty if the photo does not say. */
    static String gear(PhotoFacts facts) {
        List<String> parts = new ArrayList<>();
        facts.capturedAt()
                .map(CaptureTime::local)
                .map(moment -> Words.time("camera.time", moment))
                .ifPresent(parts::add);
        facts.camera().camera().ifPresent(parts::add);
        facts.camera().lens().ifPresent(parts::add);
        return String.join("   ", parts);
    }

    /** The exposure; empty if the photo does not say. */
    static String exposure(PhotoFacts facts) {
        CameraData data = facts.camera();
        List<String> parts = new ArrayList<>();
        data.focalLength().ifPresent(mm -> parts.add(Words.get("camera.focal", Words.number(mm, 0))));
        data.aperture().ifPresent(f -> parts.add(Words.get("camera.aperture", Words.number(f, 1))));
        data.exposure().ifPresent(seconds -> parts.add(exposure(seconds)));
        data.iso().ifPresent(iso -> parts.add(Words.get("camera.iso", String.valueOf(iso))));
        return String.join("   ", parts);
    }

    private static String exposure(double seconds) {
        return seconds < BLINK
                ? Words.get("camera.fraction", Words.number(1 / seconds, 0))
                : Words.get("camera.seconds", Words.number(seconds, 1));
    }
}
