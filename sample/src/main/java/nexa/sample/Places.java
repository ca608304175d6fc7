package nexa.sample;

import java.util.ArrayList;
import java.util.List;

/** The pottery's places: the drying shelves and the kiln shed. */
final class Places {
    private static final double SHELF_GAP = 0.36;

    private Places() {}

    /** The window by the shelves, further to the front. */
    static Light indoors() {
        return new WindowLight(0.5, 2.3);
    }

    /** Three shelves full of pots before a plastered wall. */
    static List<Surface> shelves() {
        List<Surface> things = new ArrayList<>();
        Glaze[] glazes = {Glaze.teal(0.03), Glaze.cream(0.03), Glaze.rust(0.03), Glaze.moss(0.03), Glaze.cobalt(0.03)};
        for (int shelf = 0; shelf < 3; shelf++) {
            double y = shelf * SHELF_GAP;
            things.addAll(
                    List.of(Panel.box(new Vec(-0.95, y - 0.025, -0.2), new Vec(0.95, y, 0.12), Panel.Finish.SHELF)));
            for (int i = 0; i < 7; i++) {
                double x = -0.78 + 0.26 * i + 0.03 * Noise.hash(i, shelf, 1);
                Glaze glaze = glazes[(i * 2 + shelf) % glazes.length];
                things.add(pot(shelf, x, 0.8 + 0.15 * Noise.hash(i, shelf, 2), glaze)
                        .raised(y));
            }
        }
        for (double x : new double[] {-0.97, 0.93}) {
            things.addAll(
                    List.of(Panel.box(new Vec(x, -0.4, -0.2), new Vec(x + 0.04, 1.15, 0.12), Panel.Finish.SHELF)));
        }
        things.add(new Panel(new Vec(-4, -1, -0.22), new Vec(8, 0, 0), new Vec(0, 4, 0), Panel.Finish.PLASTER));
        return things;
    }

    private static Pot pot(int shelf, double x, double size, Glaze glaze) {
        return switch (shelf) {
            case 0 -> PotShapes.jar(x, -0.03, size, glaze);
            case 1 -> PotShapes.tumbler(x, -0.03, size * 1.1, glaze);
            default -> PotShapes.bowl(x, -0.03, size * 0.75, glaze);
        };
    }

    /** A bust before a plain backdrop. */
    static List<Surface> studio() {
        return List.of(
                PotShapes.bust(0, 0, 1, Glaze.cream(0.015)),
                new Panel(new Vec(-4, -2, -1.1), new Vec(8, 0, 0), new Vec(0, 6, 0), Panel.Finish.BACKDROP));
    }

    /** Helpers by the wall, and a shelf of pots beside them. */
    static List<Surface> firing(List<Surface> helpers) {
        List<Surface> things = new ArrayList<>(helpers);
        things.addAll(List.of(Panel.box(new Vec(-1.6, 0.86, -0.75), new Vec(1.6, 0.89, -0.5), Panel.Finish.SHELF)));
        things.add(PotShapes.vase(-0.62, -0.62, 0.8, Glaze.teal(0.05)).raised(0.89));
        things.add(PotShapes.jar(0.66, -0.62, 1, Glaze.rust(0.04)).raised(0.89));
        things.add(new Panel(new Vec(-4, -1, -0.8), new Vec(8, 0, 0), new Vec(0, 4, 0), Panel.Finish.PLASTER));
        return things;
    }

    /** The kiln shed with its boards, slates and brick chimney. */
    static List<Surface> shed() {
        List<Surface> things = new ArrayList<>();
        things.addAll(List.of(Panel.box(new Vec(-2.4, 0, -3), new Vec(2.4, 2.3, 0), Panel.Finish.BOARDS)));
        things.add(new Panel(new Vec(-2.7, 2.2, 0.35), new Vec(5.4, 0, 0), new Vec(0, 1.15, -1.85), Panel.Finish.ROOF));
        things.add(new Panel(new Vec(-2.7, 2.2, -3.35), new Vec(5.4, 0, 0), new Vec(0, 1.15, 1.85), Panel.Finish.ROOF));
        things.addAll(List.of(Panel.box(new Vec(1.15, 0, -1.5), new Vec(1.8, 5, -0.85), Panel.Finish.BRICK)));
        things.addAll(List.of(Panel.box(new Vec(1.1, 5, -1.55), new Vec(1.85, 5.12, -0.8), Panel.Finish.ROOF)));
        things.addAll(List.of(Panel.box(new Vec(-0.6, 0, 0), new Vec(0.5, 2, 0.04), Panel.Finish.DOOR)));
        things.add(new Panel(new Vec(-40, 0, 12), new Vec(80, 0, 0), new Vec(0, 0, -52), Panel.Finish.GRASS));
        return things;
    }
}
