package nexa.imaging.facts;

import com.adobe.internal.xmp.XMPException;
import com.adobe.internal.xmp.XMPMeta;
import com.adobe.internal.xmp.XMPPathFactory;
import com.adobe.internal.xmp.properties.XMPProperty;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import nexa.core.shoot.Subject;
import nexa.imaging.decode.ExifOrientation;

/**
 * The regions that a photo's XMP marks, as the Metadata Working Group ("Guidelines for handling image metadata" 2.0, 5.9) and
 * the IPTC ("Photo Metadata Standard", image region) have them. All of them together are what the photo is about.
 */
final class XmpRegions {
    private static final String GROUP = "http://www.metadataworkinggroup.com/schemas/regions/";
    private static final String AREA = "http://ns.adobe.com/xmp/sType/Area#";
    private static final String IPTC = "http://iptc.org/std/Iptc4xmpExt/2008-02-29/";
    private static final int MOST = 200;

    private final XMPMeta xmp;
    private final PixelSize stored;

    private XmpRegions(XMPMeta xmp, PixelSize stored) {
        this.xmp = xmp;
        this.stored = stored;
    }

    /** The subject that they mark, in the photo as seen; what is broken counts as not there. */
    static Optional<Subject> subject(XMPMeta xmp, PixelSize stored, ExifOrientation orientation) {
        XmpRegions regions = new XmpRegions(xmp, stored);
        List<Bounds> found = new ArrayList<>();
        try {
            regions.addGroups(found);
            regions.addIptcs(found);
        } catch (XMPException | NumberFormatException e) {
            return Optional.empty();
        }
        return found.isEmpty() ? Optional.empty() : Optional.of(subject(found, stored, orientation));
    }

    private static Subject subject(List<Bounds> found, PixelSize stored, ExifOrientation orientation) {
        List<Point> ends = new ArrayList<>();
        found.forEach(box -> ends.addAll(List.of(box.least(), box.most())));
        Bounds all = Bounds.of(ends);
        double across = all.extent().x() * stored.width();
        double down = all.extent().y() * stored.height();
        double radius = Math.max(across, down) / 2 / Math.min(stored.width(), stored.height());
        boolean hasRadius = radius >= Subject.SMALLEST && radius <= 1;
        return new Subject(
                orientation.seen(all.middle()), hasRadius ? OptionalDouble.of(radius) : OptionalDouble.empty());
    }

    /** The middle of each area and its width and height, or its diameter as a share of the short side. */
    private void addGroups(List<Bounds> found) throws XMPException {
        String list = "Regions" + XMPPathFactory.composeStructFieldPath(GROUP, "RegionList");
        for (int i = 1; i <= MOST && xmp.doesPropertyExist(GROUP, list + "[" + i + "]"); i++) {
            String area = list + "[" + i + "]" + XMPPathFactory.composeStructFieldPath(GROUP, "Area");
            Optional<Double> x = number(GROUP, area + XMPPathFactory.composeStructFieldPath(AREA, "x"));
            Optional<Double> y = number(GROUP, area + XMPPathFactory.composeStructFieldPath(AREA, "y"));
            Optional<Double> width = number(GROUP, area + XMPPathFactory.composeStructFieldPath(AREA, "w"));
            Optional<Double> height = number(GROUP, area + XMPPathFactory.composeStructFieldPath(AREA, "h"));
            Optional<Double> diameter = number(GROUP, area + XMPPathFactory.composeStructFieldPath(AREA, "d"));
            if (x.isPresent() && y.isPresent()) {
                double shortSide = Math.min(stored.width(), stored.height());
                double across = width.or(() -> diameter.map(d -> d * shortSide / stored.width()))
                        .orElse(0.0);
                double down = height.or(() -> diameter.map(d -> d * shortSide / stored.height()))
                        .orElse(0.0);
                add(x.get() - across / 2, y.get() - down / 2, across, down, found);
            }
        }
    }

    /** A rectangle's upper left corner and its sides, or a circle's middle and its radius as a share of the width. */
    private void addIptcs(List<Bounds> found) throws XMPException {
        for (int i = 1; i <= MOST && xmp.doesPropertyExist(IPTC, "ImageRegion[" + i + "]"); i++) {
            String boundary = "ImageRegion[" + i + "]" + XMPPathFactory.composeStructFieldPath(IPTC, "RegionBoundary");
            boolean isInPixels = text(boundary + XMPPathFactory.composeStructFieldPath(IPTC, "rbUnit"))
                    .filter("pixel"::equals)
                    .isPresent();
            double unitX = isInPixels ? stored.width() : 1;
            double unitY = isInPixels ? stored.height() : 1;
            Optional<Double> x = number(IPTC, boundary + XMPPathFactory.composeStructFieldPath(IPTC, "rbX"));
            Optional<Double> y = number(IPTC, boundary + XMPPathFactory.composeStructFieldPath(IPTC, "rbY"));
            Optional<Double> width = number(IPTC, boundary + XMPPathFactory.composeStructFieldPath(IPTC, "rbW"));
            Optional<Double> height = number(IPTC, boundary + XMPPathFactory.composeStructFieldPath(IPTC, "rbH"));
            Optional<Double> radius = number(IPTC, boundary + XMPPathFactory.composeStructFieldPath(IPTC, "rbRx"));
            if (x.isPresent() && y.isPresent() && width.isPresent() && height.isPresent()) {
                add(x.get() / unitX, y.get() / unitY, width.get() / unitX, height.get() / unitY, found);
            } else if (x.isPresent() && y.isPresent() && radius.isPresent()) {
                double across = radius.get() / unitX;
                double down = across * stored.width() / stored.height();
                add(x.get() / unitX - across, y.get() / unitY - down, 2 * across, 2 * down, found);
            }
        }
    }

    private static void add(double left, double top, double across, double down, List<Bounds> found) {
        boolean isInside = across >= 0 && down >= 0 && left < 1 && top < 1 && left + across > 0 && top + down > 0;
        if (isInside) {
            found.add(new Bounds(
                    new Point(Math.max(0, left), Math.max(0, top)),
                    new Point(Math.min(1, left + across), Math.min(1, top + down))));
        }
    }

    private Optional<String> text(String path) throws XMPException {
        return Optional.ofNullable(xmp.getProperty(IPTC, path)).map(XMPProperty::getValue);
    }

    private Optional<Double> number(String schema, String path) throws XMPException {
        return Optional.ofNullable(xmp.getProperty(schema, path))
                .map(XMPProperty::getValue)
                .map(value -> Double.parseDouble(value.strip()))
                .filter(Double::isFinite);
    }
}
