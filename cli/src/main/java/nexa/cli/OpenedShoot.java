package nexa.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import nexa.core.shoot.Shoot;
import nexa.imaging.read.ShootReading;
import nexa.store.ShootFolder;
import nexa.store.ShootProblem;
import nexa.store.UserData;

/** A shoot opened for looking only: nothing is locked and nothing written. */
record OpenedShoot(Path folder, Shoot shoot, ShootReading reading) {

    static OpenedShoot open(Path folder) throws ShootProblem {
        ShootFolder opened = ShootFolder.look(folder, UserData.ofThisUser());
        ShootReading reading = ShootReading.of(opened.shoot(), opened.path());
        return new OpenedShoot(opened.path(), reading.appliedTo(opened.shoot()), reading);
    }

    /** Tells which photos could not be read, and whether there was one. */
    boolean tellProblems(PrintWriter err) {
        if (shoot.photos().isEmpty()) {
            err.println("There are no photos in " + folder + ".");
        }
        reading.problems().values().forEach(problem -> err.println(problem.getMessage()));
        return !reading.problems().isEmpty();
    }
}
