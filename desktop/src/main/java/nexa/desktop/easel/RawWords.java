package nexa.desktop.easel;

import java.util.Optional;
import nexa.core.message.EnumName;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Photo;
import nexa.desktop.parts.Words;
import nexa.imaging.facts.PhotoFacts;
import nexa.imaging.raw.RawAvailability;

/**
 * What is said of a photo's raw file.
 *
 * @param text in a word or two
 * @param tip in a sentence or two, with the way out where there is one
 * @param style of the text
 */
record RawWords(String text, String tip, String style) {

    /** Empty for a photo that has no raw file, or had one that nobody wants. */
    static Optional<RawWords> of(Photo photo, Optional<PhotoCrop> crop, Optional<PhotoFacts> facts) {
        return facts.flatMap(PhotoFacts::raw).flatMap(standing -> {
            boolean isWanted = photo.raw().isEmpty()
                    || crop.map(shown -> photo.wantsRaw(shown.format())).orElse(false);
            if (isWanted && standing != RawAvailability.READY) {
                String text = Words.get(standing == RawAvailability.UNLIKE ? "raw.notLike" : "raw.picture");
                return Optional.of(new RawWords(text, Words.get("raw." + EnumName.of(standing)), "look"));
            }
            if (photo.raw().isEmpty()) {
                return Optional.of(new RawWords(Words.get("raw.own"), Words.get("raw.ready"), "quiet"));
            }
            return photo.raw()
                    .filter(raw -> standing != RawAvailability.MISSING)
                    .map(raw -> new RawWords(Words.get("photo.twoFiles"), Words.get("raw.beside", raw), "quiet"));
        });
    }
}
