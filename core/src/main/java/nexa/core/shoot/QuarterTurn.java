package nexa.core.shoot;

import nexa.core.message.Rejected;

/** How far a photo is turned before anything else, clockwise. */
public enum QuarterTurn {
    NONE(0),
    RIGHT(90),
    HALF(180),
    LEFT(270);

    private final int degrees;

    QuarterTurn(int degrees) {
        this.degrees = degrees;
    }

    /** 0, 90, 180 or 270, clockwise. */
    public int degrees() {
        return degrees;
    }

    /** @throws Rejected for anything but 0, 90, 180 and 270 */
    public static QuarterTurn of(int degrees) {
        for (QuarterTurn turn : values()) {
            if (turn.degrees == degrees) {
                return turn;
            }
        }
        throw new Rejected("reject.quarterTurn", degrees);
    }

    /** Whether width and height change places. */
    public boolean swapsSides() {
        return degrees % 180 != 0;
    }
}
