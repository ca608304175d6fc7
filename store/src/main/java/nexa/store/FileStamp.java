package nexa.store;

import java.nio.file.attribute.FileTime;

/**
 * By what is told that a file was changed.
 *
 * @param length in bytes
 */
public record FileStamp(long length, FileTime modified) {}
