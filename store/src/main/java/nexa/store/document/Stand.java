package nexa.store.document;

import nexa.files.Digest;

/**
 * Which of a shoot's states a document holds.
 *
 * @param edit how many edits it has seen
 * @param continues the digest of the document beside the photos that it was made from; {@link Digest#NOTHING} where there was
 *     none, or a version wrote it that did not say
 */
public record Stand(long edit, String continues) {
    static final Stand FIRST = new Stand(0, Digest.NOTHING);
}
