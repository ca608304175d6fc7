package nexa.desktop;

import javafx.application.Application;

/** Starts the application. JavaFX on the class path wants a main class that is not the application itself. */
public final class Launcher {
    private Launcher() {}

    public static void main(String[] arguments) {
        Application.launch(NexaApplication.class, arguments);
    }
}
