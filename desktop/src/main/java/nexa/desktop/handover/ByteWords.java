package nexa.desktop.handover;

import nexa.desktop.parts.Words;

/** How much room files take, in words. */
final class ByteWords {
    private ByteWords() {}

    static String of(long bytes) {
        return bytes >= 1e9
                ? Words.get("bytes.giga", Words.number(bytes / 1e9, bytes >= 1e10 ? 0 : 1))
                : Words.get("bytes.mega", Words.number(bytes / 1e6, 0));
    }
}
