package nexa.store.shoot;

import nexa.store.document.ShootDocument;

/**
 * A shoot as it was found, in one of its two places.
 *
 * @param document the shoot as it was left
 * @param besideDigest the digest of what lies beside the photos
 * @param lineage the digest of the document beside the photos that this one continues
 * @param isApart whether the document kept apart is this one, or contained in it
 */
record Opened(ShootDocument document, String besideDigest, String lineage, boolean isApart) {}
