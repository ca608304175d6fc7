package nexa.core.format;

/** Whether a format's files are delivered with the rest. */
public enum Going {
    GOES,
    STAYS,
    /** Nothing was done in it yet, so its files stay until something is; see {@link nexa.core.series.Begun}. */
    WAITS
}
