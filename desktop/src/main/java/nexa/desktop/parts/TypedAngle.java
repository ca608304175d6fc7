package nexa.desktop.parts;

import nexa.core.geometry.Angle;

/** Reads a typed angle: "2.3", "−2,3°". */
public final class TypedAngle {
    private TypedAngle() {}

    /** @throws IllegalArgumentException for what is no number, and beyond the angles a photo can have */
    public static Angle read(String typed) {
        String plain =
                typed.replace('−', '-').replace("°", "").replace(',', '.').strip();
        return new Angle(Double.parseDouble(plain));
    }
}
