package nexa.desktop.sheet;

import java.util.List;
import nexa.core.shoot.Lane;

/** A row of the sheet. */
sealed interface SheetRow {
    /** The room between prints. */
    double GAP = 16;

    /** The head of a lane. */
    record Heading(String name, String counts, List<String> files) implements SheetRow {}

    /** Some prints side by side. */
    record Photos(List<String> files, PhotoSize size) implements SheetRow {}

    /** A sentence where there are no prints. */
    record Note(String words) implements SheetRow {}

    /** The room a print has. */
    record PhotoSize(double width, double height) {}

    /** The room for a print of a lane when a wide one has this width. Wide and tall prints have the same area. */
    static PhotoSize photoSize(Lane lane, double wide) {
        double tall = Math.floor(wide * 2 / 3);
        return switch (lane) {
            case WIDE -> new PhotoSize(Math.floor(wide), tall);
            case TALL -> new PhotoSize(tall, Math.floor(wide));
            case SQUARE -> new PhotoSize(Math.floor(wide * 0.8), Math.floor(wide * 0.8));
        };
    }
}
