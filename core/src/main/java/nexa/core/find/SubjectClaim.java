package nexa.core.find;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import nexa.core.shoot.Eyes;
import nexa.core.shoot.Subject;

/**
 * What a picture is about: its persons and animals, else its faces, else a thing in it, else what stands out.
 *
 * @param found what is said of it
 * @param faces the boxes around the faces of it, as fractions of the picture
 */
public record SubjectClaim(FoundSubject found, List<Bounds> faces) {
    /** What is less likely a person, an animal, a thing is not said to be one. */
    private static final double LEAST_LIVING = 0.35;

    private static final double LEAST_THING = 0.4;

    /** Where nothing living is so likely, what stands out has to agree. */
    private static final double AGREED = 0.5;

    private static final double LEAST_AGREEMENT = 0.15;

    /** The least of the picture that the largest takes up. */
    private static final double LEAST_AREA = 0.02;

    /** What is at least so large, as a share of the lead's box, belongs to it. */
    private static final double TOGETHER = 0.3;

    /** Off the middle by half of the picture, something leads so much less. */
    private static final double OFF_MIDDLE = 0.5;

    private static final double LEAST_FACE = 0.45;
    private static final double LEAST_FACE_ALONE = 0.8;
    private static final double LEAST_NEAR_FACE = 0.6;
    private static final double LEAST_NEAR_FACE_ALONE = 0.9;
    private static final double LEAST_NEAR_AREA = 0.08;

    /** A face lies in the upper part of its person. */
    private static final double UPPER = 0.6;

    /** Faces that take up so much of their persons' heights are a portrait. */
    private static final double PORTRAIT = 0.3;

    /** A head reaches beyond the face in it, as shares of the face's width and height. */
    private static final double HEAD_ASIDE = 0.1;

    private static final double HEAD_ABOVE = 0.3;
    private static final double HEAD_BELOW = 0.05;

    /** Faces of so much of the largest one's width have a say in where the eyes are. */
    private static final double AS_LARGE = 0.6;

    /** What stands out less is not said to be the subject. */
    private static final double LEAST_SALIENT = 0.3;

    public SubjectClaim {
        faces = List.copyOf(faces);
    }

    /** What is claimed of what can be seen. */
    public static SubjectClaim of(Sight sight) {
        List<SeenThing> things = sight.things();
        return living(sight, things)
                .or(() -> facesAlone(sight))
                .or(() -> thing(sight, things))
                .orElseGet(() -> new SubjectClaim(salient(sight), List.of()));
    }

    private static Optional<SubjectClaim> living(Sight sight, List<SeenThing> things) {
        // A cat that is also taken for a dog is one animal.
        List<SeenThing> living = Seen.once(
                things.stream()
                        .filter(thing -> thing.isLiving() && thing.score() >= LEAST_LIVING)
                        .toList(),
                (one, other) -> one.isPerson() == other.isPerson() && one.box().overlap(other.box()) > SeenThing.SAME);
        if (living.stream().noneMatch(one -> one.area() >= LEAST_AREA) || !isAgreed(living.get(0), sight)) {
            return Optional.empty();
        }
        SeenThing lead = lead(living);
        List<SeenThing> group = living.stream()
                .filter(one -> one.area() >= TOGETHER * lead.area())
                .toList();
        List<SeenThing> persons = group.stream().filter(SeenThing::isPerson).toList();
        List<SeenFace> faces = persons.isEmpty() ? List.of() : facesOf(persons, sight);
        boolean isPortrait = persons.size() == group.size()
                && persons.stream()
                        .allMatch(person -> faces.stream()
                                .anyMatch(face -> isOf(face, person)
                                        && face.box().extent().y()
                                                >= PORTRAIT
                                                        * person.box().extent().y()));
        Bounds box = isPortrait
                ? around(faces.stream().map(SubjectClaim::head))
                : around(group.stream().map(SeenThing::box));
        double confidence = group.stream().mapToDouble(SeenThing::score).max().orElseThrow();
        return Optional.of(claim(sight, named(lead, group), box, faces, confidence));
    }

    private static boolean isAgreed(SeenThing likeliest, Sight sight) {
        return likeliest.score() >= AGREED
                || sight.salient()
                        .filter(region -> region.box().overlap(likeliest.box()) >= LEAST_AGREEMENT)
                        .isPresent();
    }

    private static SeenThing lead(List<SeenThing> things) {
        return things.stream()
                .max(Comparator.comparingDouble(
                        thing -> thing.score() * Math.sqrt(thing.area()) * nearness(thing.box())))
                .orElseThrow();
    }

    private static double nearness(Bounds box) {
        return 1 - OFF_MIDDLE * 2 * Math.min(0.5, box.middle().distance(new Point(0.5, 0.5)));
    }

    /** How a group is called: by those of it that are likely enough to be called so. */
    private static FoundSubject.Named named(SeenThing lead, List<SeenThing> group) {
        List<SeenThing> sure =
                group.stream().filter(one -> one.score() >= Found.SURE).toList();
        int persons = (int) sure.stream().filter(SeenThing::isPerson).count();
        if (sure.isEmpty()) {
            return FoundSubject.Named.STANDS_OUT;
        }
        boolean isOfPersons = persons > 0 && (lead.isPerson() || persons == sure.size());
        return isOfPersons ? FoundSubject.Named.persons(persons) : FoundSubject.Named.animals(sure.size() - persons);
    }

    private static List<SeenFace> facesOf(List<SeenThing> persons, Sight sight) {
        List<SeenFace> faces = faces(sight.faces(), LEAST_FACE, 0, persons);
        return faces.isEmpty() ? faces(sight.nearFaces(), LEAST_NEAR_FACE, LEAST_NEAR_AREA, persons) : faces;
    }

    private static List<SeenFace> faces(List<SeenFace> all, double least, double leastArea, List<SeenThing> persons) {
        return all.stream()
                .filter(face -> face.score() >= least && face.area() >= leastArea)
                .filter(face -> persons.stream().anyMatch(person -> isOf(face, person)))
                .toList();
    }

    private static boolean isOf(SeenFace face, SeenThing person) {
        Point middle = face.box().middle();
        Bounds box = person.box();
        return middle.x() >= box.least().x()
                && middle.x() <= box.most().x()
                && middle.y() >= box.least().y()
                && middle.y() <= box.least().y() + UPPER * box.extent().y();
    }

    private static Optional<SubjectClaim> facesAlone(Sight sight) {
        List<SeenFace> faces = alone(sight.faces(), LEAST_FACE_ALONE, 0);
        if (faces.isEmpty()) {
            faces = alone(sight.nearFaces(), LEAST_NEAR_FACE_ALONE, LEAST_NEAR_AREA);
        }
        if (faces.isEmpty()) {
            return Optional.empty();
        }
        Bounds box = around(faces.stream().map(SubjectClaim::head));
        double confidence = faces.stream().mapToDouble(SeenFace::score).max().orElseThrow();
        return Optional.of(claim(sight, FoundSubject.Named.persons(faces.size()), box, faces, confidence));
    }

    private static List<SeenFace> alone(List<SeenFace> all, double least, double leastArea) {
        List<SeenFace> likely = all.stream()
                .filter(face -> face.score() >= least && face.area() >= leastArea)
                .toList();
        double largest = likely.stream().mapToDouble(SeenFace::area).max().orElse(0);
        return likely.stream().filter(face -> face.area() >= TOGETHER * largest).toList();
    }

    private static Optional<SubjectClaim> thing(Sight sight, List<SeenThing> things) {
        List<SeenThing> likely = things.stream()
                .filter(thing -> thing.kind().sort() == ThingKind.Sort.THING
                        && thing.score() >= LEAST_THING
                        && thing.area() >= LEAST_AREA)
                .toList();
        if (likely.isEmpty()) {
            return Optional.empty();
        }
        SeenThing lead = lead(likely);
        if (lead.score() < AGREED && isOutdone(lead, sight)) {
            return Optional.empty();
        }
        FoundSubject.Named named =
                lead.score() >= Found.SURE ? FoundSubject.Named.thing(lead.kind()) : FoundSubject.Named.STANDS_OUT;
        return Optional.of(claim(sight, named, lead.box(), List.of(), lead.score()));
    }

    /** Whether something elsewhere stands out more surely than a doubtful thing is one. */
    private static boolean isOutdone(SeenThing thing, Sight sight) {
        return sight.salient()
                .filter(region ->
                        region.confidence() > thing.score() && region.box().overlap(thing.box()) < LEAST_AGREEMENT)
                .isPresent();
    }

    private static SubjectClaim claim(
            Sight sight, FoundSubject.Named named, Bounds box, List<SeenFace> faces, double confidence) {
        Subject subject = Subject.around(box.middle(), box, sight.picture());
        Optional<Eyes> eyes = eyes(faces, subject.at());
        return new SubjectClaim(
                new FoundSubject(named, Optional.of(subject.withEyes(eyes)), confidence),
                faces.stream().map(SubjectClaim::head).toList());
    }

    /** The eyes of the largest face; where others are about as large, in the mean of theirs. */
    private static Optional<Eyes> eyes(List<SeenFace> faces, Point at) {
        double widest = faces.stream()
                .mapToDouble(face -> face.box().extent().x())
                .max()
                .orElse(0);
        List<SeenFace> large = faces.stream()
                .filter(face -> face.box().extent().x() >= AS_LARGE * widest)
                .toList();
        if (large.isEmpty()) {
            return Optional.empty();
        }
        Point one = mean(large.stream().map(SeenFace::one).toList()).minus(at);
        Point other = mean(large.stream().map(SeenFace::other).toList()).minus(at);
        Point nose = mean(large.stream().map(SeenFace::nose).toList()).minus(at);
        return Optional.of(new Eyes(one, other, Optional.of(nose)));
    }

    private static Point mean(List<Point> points) {
        return points.stream().reduce(Point.ORIGIN, Point::plus).times(1.0 / points.size());
    }

    private static Bounds head(SeenFace face) {
        Bounds box = face.box();
        Point size = box.extent();
        return inside(new Bounds(
                box.least().minus(new Point(HEAD_ASIDE * size.x(), HEAD_ABOVE * size.y())),
                box.most().plus(new Point(HEAD_ASIDE * size.x(), HEAD_BELOW * size.y()))));
    }

    private static Bounds inside(Bounds box) {
        return new Bounds(Bounds.UNIT.nearest(box.least()), Bounds.UNIT.nearest(box.most()));
    }

    private static Bounds around(Stream<Bounds> boxes) {
        List<Point> corners = new ArrayList<>();
        boxes.forEach(box -> corners.addAll(List.of(box.least(), box.most())));
        return Bounds.of(corners);
    }

    /** The subject that what stands out is, if it does so enough. */
    private static FoundSubject salient(Sight sight) {
        Optional<SalientRegion> region = sight.salient();
        if (region.isEmpty()) {
            return FoundSubject.none(FoundSubject.Reason.NOTHING_STANDS_OUT, 0);
        }
        SalientRegion found = region.get();
        double confidence = found.confidence();
        if (confidence < LEAST_SALIENT) {
            return FoundSubject.none(found.doubt(), confidence);
        }
        Subject subject = Subject.around(found.middle(), found.box(), sight.picture());
        return new FoundSubject(FoundSubject.Named.STANDS_OUT, Optional.of(subject), confidence);
    }
}
