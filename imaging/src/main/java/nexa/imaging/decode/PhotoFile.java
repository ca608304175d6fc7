package nexa.imaging.decode;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import nexa.core.shoot.FileIdentity;

/** Finds a photo's file, and tells by what it is known again. */
public final class PhotoFile {
    /** So much of how a file begins and ends goes into its digest. */
    private static final int END = 64 * 1024;

    private PhotoFile() {}

    /**
     * The file of a photo.
     *
     * @throws PhotoProblem if its name is none that this system has letters for
     */
    public static Path of(Path folder, String name) throws PhotoProblem {
        try {
            Path file = folder.resolve(name);
            // What could not be read as letters was replaced by this one, and leads nowhere.
            if (name.indexOf('\uFFFD') >= 0 && !Files.exists(file)) {
                throw new PhotoProblem(name, PhotoProblem.Reason.UNREADABLE_NAME);
            }
            return file;
        } catch (InvalidPathException e) {
            throw new PhotoProblem(name, PhotoProblem.Reason.UNREADABLE_NAME, e);
        }
    }

    /** What went wrong in reading a file. */
    public static PhotoProblem problem(Path file, IOException e) {
        PhotoProblem.Reason reason =
                e instanceof NoSuchFileException ? PhotoProblem.Reason.MISSING : PhotoProblem.Reason.NO_ACCESS;
        return new PhotoProblem(file.getFileName().toString(), reason, e);
    }

    /** By what a file is known again under another name. */
    public static FileIdentity identity(Path file) throws IOException {
        try (SeekableByteChannel channel = Files.newByteChannel(file)) {
            long length = channel.size();
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            digest.update(part(channel, 0, Math.min(length, END)));
            if (length > END) {
                digest.update(part(channel, Math.max(END, length - END), Math.min(length - END, END)));
            }
            return new FileIdentity(length, HexFormat.of().formatHex(digest.digest(), 0, 16));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    private static ByteBuffer part(SeekableByteChannel channel, long from, long length) throws IOException {
        ByteBuffer part = ByteBuffer.allocate((int) length);
        channel.position(from);
        while (part.hasRemaining() && channel.read(part) >= 0) {
            // Reads on until it is full.
            continue;
        }
        return part.flip();
    }
}
