package nexa.desktop.tool.perspective;

import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.shape.FocalLength;
import nexa.core.shape.FromLines;
import nexa.core.shape.Perspective;
import nexa.core.shape.SceneLines;
import nexa.core.shoot.Photo;
import nexa.desktop.parts.Words;
import nexa.desktop.tool.Easel;
import nexa.desktop.tool.PhotoGestures;

/** Puts the perspective of the photo worked on right, however that was found: as part of a gesture that the stage shows. */
final class Reshaping {
    private final Easel easel;

    Reshaping(Easel easel) {
        this.easel = easel;
    }

    /** The lines that stay with it, if there are any. */
    Optional<SceneLines> lines() {
        return easel.photo()
                .flatMap(photo -> photo.preparation().perspective())
                .map(Perspective::lines)
                .filter(lines -> !lines.isNone());
    }

    /** What is known of a photo's focal length. */
    FocalLength focalLength(Photo photo) {
        return FocalLength.of(photo.preparation().perspective(), inFile(photo));
    }

    /** The focal length a photo's lines are solved with; empty where they may tell it themselves. */
    OptionalDouble knownFocalLength(Photo photo) {
        return FocalLength.known(photo.preparation().perspective(), inFile(photo));
    }

    private OptionalDouble inFile(Photo photo) {
        return easel.session().lenses().now().focalLength35(photo.file());
    }

    /** How the photo's perspective is put right, or would be. */
    Perspective now(Photo photo) {
        return gestures()
                .preparation()
                .perspective()
                .orElseGet(() -> Perspective.none(focalLength(photo).millimetres()));
    }

    private PhotoGestures gestures() {
        return easel.gestures().photo();
    }

    /** Puts it right otherwise. What says nothing but what is known anyway is nothing. */
    void reshape(Photo photo, Perspective to, boolean isHeld) {
        FocalLength focal = FocalLength.of(Optional.of(to), inFile(photo));
        boolean isNothing = to.isSaidNothing() && focal.source() != FocalLength.Source.TYPED;
        PhotoGestures photos = gestures();
        photos.reshape(
                isNothing ? Optional.empty() : Optional.of(to),
                photos.preparation().angle(),
                isHeld);
    }

    /** Works perspectives of a photo out from lines. */
    FromLines solver(Photo photo) {
        return solver(photo, knownFocalLength(photo));
    }

    private static FromLines solver(Photo photo, OptionalDouble focal35) {
        return new FromLines(photo.size(), photo.preparation().lens(), focal35);
    }

    /** Puts the perspective right as lines tell, or says why that cannot be. */
    boolean solve(Photo photo, SceneLines lines, boolean isHeld) {
        return take(solver(photo).solve(lines), now(photo), lines, isHeld);
    }

    /** As {@link #solve}, by the lines that are there, taken with another focal length. */
    void solveAgain(Photo photo, Perspective now) {
        FromLines solver = solver(photo, OptionalDouble.of(now.focal35()));
        take(solver.solve(now.lines()), now, now.lines(), false);
    }

    private boolean take(FromLines.Answer answer, Perspective before, SceneLines lines, boolean isHeld) {
        if (answer instanceof FromLines.Solved solved) {
            easel.say("");
            gestures().reshape(Optional.of(before.by(solved, lines)), solved.angle(), isHeld);
            return true;
        }
        easel.say(Words.of("lines.refused", ((FromLines.Refused) answer).why()));
        return false;
    }
}
