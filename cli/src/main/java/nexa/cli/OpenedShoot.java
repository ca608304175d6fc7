package nexa.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import nexa.core.series.Renamed;
import nexa.core.shoot.Shoot;
import nexa.imaging.read.ShootReading;
import nexa.store.ShootFolder;
import nexa.store.ShootProblem;
import nexa.store.UserData;

/** A shoot opened for looking only: nothing is locked and nothing written. */
record OpenedShoot(Path folder, Shoot shoot, ShootReading reading, List<String> notices) {

    static OpenedShoot open(Path folder) throws ShootProblem {
        ShootFolder opened = ShootFolder.look(folder, UserData.ofThisUser());
        ShootReading reading = ShootReading.of(opened.shoot(), opened.path());
        Shoot shoot = reading.appliedTo(opened.shoot());
        List<String> notices = new ArrayList<>(opened.notices());
        int renamed = Renamed.find(shoot, opened.missing()).size();
        if (renamed > 0) {
            notices.add((renamed == 1 ? "1 photo has another name" : renamed + " photos have other names")
                    + " now. Open the shoot in the window to take what was done along.");
        }
        return new OpenedShoot(opened.path(), shoot, reading, notices);
    }

    /** Tells which photos could not be read, and whether there was one. */
    boolean tellProblems(PrintWriter err) {
        if (shoot.photos().isEmpty()) {
            err.println("There are no photos in " + folder + ".");
        }
        notices.forEach(err::println);
        reading.problems().values().forEach(problem -> err.println(problem.getMessage()));
        return !reading.problems().isEmpty();
    }
}
