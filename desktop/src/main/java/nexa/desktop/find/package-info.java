package nexa.desktop.find;

/**
 * Finds in many photos at once: what is found is shown before anything is taken. Sheet and easel may open it. Start at {@link
 * nexa.desktop.find.FindPanel}.
 */
