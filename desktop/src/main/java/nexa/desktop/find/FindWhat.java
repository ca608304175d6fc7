package nexa.desktop.find;

/** What can be found in many photos. */
public enum FindWhat {
    LEVELS,
    BORDERS,
    UPRIGHTS,
    SUBJECTS,
    CROPS
}
