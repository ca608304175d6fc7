package nexa.imaging.fill;

import java.util.Arrays;
import java.util.Optional;

/**
 * Fills one level of a {@link NearestNeighbourField} with patches of its picture, after Wexler, Shechtman and Irani (space-time completion) and
 * Barnes, Shechtman, Finkelstein and Goldman (PatchMatch): for each patch that meets what is missing the most alike one of the
 * picture is looked for, at first where its neighbours found theirs and then by chance ever nearer; then all patches vote.
 *
 * <p>Whole numbers, a fixed seed and one thread: the same in every run.
 */
final class PatchSearch {
    /** A patch reaches so far from its middle. */
    static final int REACH = 3;

    static final int SIDE = 2 * REACH + 1;
    private static final int VALUES = SIDE * SIDE * 3;
    private static final int SEED = 0x9E3779B9;
    private static final int PASSES = 2;

    /** Going astray along the edge by a twentieth of the long side costs so much a value. */
    private static final double ASTRAY = 10;

    private static final int MOST_TRIES = 60;

    private final NearestNeighbourField field;
    private final Spared spared;
    private final int width;
    private final int[] colour;
    private final boolean[] isSource;
    private final int[] targets;
    private final int[] found;
    /** The column and the row of each pixel of the field: asked too often to be divided for. */
    private final int[] columns;

    private final int[] rows;
    private final int[] apart;
    private final int along;
    private final int deep;
    private final double costAlong;
    private final double costDeep;
    private int random;

    /** What nothing is copied from, in the picture's pixels. */
    interface Spared {
        Spared times(double factor);

        /** Whether what reaches so far around a place touches it. */
        boolean touches(double column, double row, double reach);
    }

    /** Something round. */
    record Circle(double x, double y, double radius) implements Spared {
        @Override
        public Circle times(double factor) {
            return new Circle(x * factor, y * factor, radius * factor);
        }

        @Override
        public boolean touches(double column, double row, double reach) {
            double dx = column - x;
            double dy = row - y;
            return dx * dx + dy * dy <= (radius + reach) * (radius + reach);
        }
    }

    /** Something of which the box around it is known. */
    record Box(double left, double top, double right, double bottom) implements Spared {
        @Override
        public Box times(double factor) {
            return new Box(left * factor, top * factor, right * factor, bottom * factor);
        }

        @Override
        public boolean touches(double column, double row, double reach) {
            return column >= left - reach && column <= right + reach && row >= top - reach && row <= bottom + reach;
        }
    }

    PatchSearch(NearestNeighbourField field, Optional<Spared> spared, int level) {
        this.field = field;
        this.spared = spared.orElse(new Circle(0, 0, Double.NEGATIVE_INFINITY));
        this.width = field.width;
        this.random = SEED + level * 7919;
        int longSide = field.picture.longSide();
        int widest = field.margins.widest();
        this.along = Math.max(REACH, longSide / 5);
        this.deep = Math.max(3 * widest + SIDE, longSide / 5);
        double unit = longSide / 20.0;
        this.costAlong = ASTRAY / (unit * unit);
        this.costDeep = costAlong / 4;
        this.colour = new int[field.colour.length];
        for (int i = 0; i < colour.length; i++) {
            colour[i] = (int) (field.colour[i] + 0.5f);
        }
        this.columns = new int[width * field.height];
        this.rows = new int[columns.length];
        for (int at = 0; at < columns.length; at++) {
            columns[at] = at % width;
            rows[at] = at / width;
        }
        this.isSource = sources();
        this.targets = targets();
        this.found = new int[width * field.height];
        this.apart = new int[found.length];
        Arrays.fill(found, -1);
    }

    private boolean[] sources() {
        boolean[] sources = new boolean[width * field.height];
        boolean any = false;
        for (int y = field.top + REACH; y < field.bottom - REACH; y++) {
            for (int x = field.left + REACH; x < field.right - REACH; x++) {
                boolean isFree = !spared.touches(x + 0.5 - field.left, y + 0.5 - field.top, REACH);
                sources[y * width + x] = isFree;
                any |= isFree;
            }
        }
        if (!any) {
            // What is to be spared leaves nothing: better that than nothing at all.
            for (int y = field.top + REACH; y < field.bottom - REACH; y++) {
                Arrays.fill(sources, y * width + field.left + REACH, y * width + field.right - REACH, true);
            }
        }
        return sources;
    }

    /** The middles of all patches that meet what is missing. */
    private int[] targets() {
        int[] all = new int[width * field.height];
        int count = 0;
        for (int y = REACH; y < field.height - REACH; y++) {
            for (int x = REACH; x < width - REACH; x++) {
                boolean isWhole = x - REACH >= field.left
                        && x + REACH < field.right
                        && y - REACH >= field.top
                        && y + REACH < field.bottom;
                if (!isWhole) {
                    all[count++] = y * width + x;
                }
            }
        }
        return Arrays.copyOf(all, count);
    }

    /**
     * Fills what is missing.
     *
     * @param coarser the same at half the size, if it was solved
     * @param rounds of searching and voting
     */
    void solve(Optional<NearestNeighbourField> coarser, int rounds, boolean isFinest) {
        for (int at : targets) {
            found[at] = start(columns[at], rows[at], coarser);
        }
        if (coarser.isPresent()) {
            new PatchVote(field, colour, targets, found).withoutDistance();
        }
        for (int round = 0; round < rounds; round++) {
            for (int at : targets) {
                apart[at] = distance(at, found[at], Integer.MAX_VALUE);
            }
            for (int pass = 0; pass < PASSES; pass++) {
                search((round * PASSES + pass) % 2 == 0 ? 1 : -1, coarser.isPresent() && isFinest);
            }
            new PatchVote(field, colour, targets, found).byDistance(apart, round == rounds - 1);
        }
        for (int at : targets) {
            field.fromX[at] = columns[found[at]];
            field.fromY[at] = rows[found[at]];
        }
    }

    private int start(int x, int y, Optional<NearestNeighbourField> coarser) {
        int fromX = inwards(x, field.left, field.right, field.margins.left(), field.margins.right());
        int fromY = inwards(y, field.top, field.bottom, field.margins.top(), field.margins.bottom());
        if (coarser.isPresent()) {
            NearestNeighbourField half = coarser.get();
            int column = placeIn(x - field.left, field.picture.width(), half.picture.width(), half.left, half.width);
            int row = placeIn(y - field.top, field.picture.height(), half.picture.height(), half.top, half.height);
            int at = row * half.width + column;
            boolean isKnown = half.fromX[at] >= 0;
            double across = (double) field.picture.width() / half.picture.width();
            double down = (double) field.picture.height() / half.picture.height();
            fromX = isKnown ? x + (int) Math.round((half.fromX[at] - column) * across) : x;
            fromY = isKnown ? y + (int) Math.round((half.fromY[at] - row) * down) : y;
        }
        fromX = within(fromX, field.left + REACH, field.right - 1 - REACH);
        fromY = within(fromY, field.top + REACH, field.bottom - 1 - REACH);
        for (int i = 0; i < MOST_TRIES && !isSource[fromY * width + fromX]; i++) {
            fromX = within(x + chance(-deep, deep), field.left + REACH, field.right - 1 - REACH);
            fromY = within(y + chance(-along, along), field.top + REACH, field.bottom - 1 - REACH);
        }
        int at = fromY * width + fromX;
        while (!isSource[at]) {
            at = (at + 1) % isSource.length;
        }
        return at;
    }

    /** A place beyond an edge moved in by as much as the margin there is wide. */
    private static int inwards(int place, int from, int to, int low, int high) {
        if (place < from + REACH) {
            return place + low + SIDE;
        }
        return place >= to - REACH ? place - high - SIDE : place;
    }

    /** Where a place lies in the coarser field. */
    private static int placeIn(int place, int size, int half, int begin, int whole) {
        int at = (int) Math.floor((place + 0.5) * half / size) + begin;
        return within(at, REACH, whole - 1 - REACH);
    }

    private void search(int way, boolean isNear) {
        for (int k = 0; k < targets.length; k++) {
            int at = targets[way > 0 ? k : targets.length - 1 - k];
            propagate(at, at - way, way);
            propagate(at, at - way * width, way * width);
            searchByChance(at, isNear);
        }
    }

    /** Tries what a neighbour found, moved along. */
    private void propagate(int at, int neighbour, int step) {
        if (neighbour >= 0 && neighbour < found.length && found[neighbour] >= 0) {
            int candidate = found[neighbour] + step;
            if (candidate >= 0 && candidate < isSource.length && candidate != found[at] && isSource[candidate]) {
                attempt(at, candidate);
            }
        }
    }

    private void attempt(int at, int candidate) {
        int distance = distance(at, candidate, apart[at]);
        if (distance < apart[at]) {
            apart[at] = distance;
            found[at] = candidate;
        }
    }

    /** Around what was found, ever nearer; never far from where the missing pixel lies, so that things stay where they are. */
    private void searchByChance(int at, boolean isNear) {
        int x = columns[at];
        int y = rows[at];
        int reachX = field.beyondX(x) > 0 ? deep : along;
        int reachY = field.beyondY(y) > 0 ? Math.max(along, deep) : along;
        int leastX = Math.max(field.left + REACH, x - reachX);
        int mostX = Math.max(leastX, Math.min(field.right - 1 - REACH, x + reachX));
        int leastY = Math.max(field.top + REACH, y - reachY);
        int mostY = Math.max(leastY, Math.min(field.bottom - 1 - REACH, y + reachY));
        int radius = Math.max(mostX - leastX, mostY - leastY);
        for (int near = isNear ? Math.min(radius, 24) : radius; near >= 1; near /= 2) {
            int column = within(columns[found[at]] + chance(-near, near), leastX, mostX);
            int row = within(rows[found[at]] + chance(-near, near), leastY, mostY);
            int candidate = row * width + column;
            if (candidate < isSource.length && isSource[candidate]) {
                attempt(at, candidate);
            }
        }
    }

    /** How unlike two patches are, and what going astray costs; at least the limit as soon as that is reached. */
    private int distance(int at, int candidate, int limit) {
        int sum = cost(at, candidate);
        for (int v = -REACH; v <= REACH && sum < limit; v++) {
            int one = 3 * (at + v * width - REACH);
            int other = 3 * (candidate + v * width - REACH);
            for (int u = 0; u < SIDE * 3; u++) {
                int off = colour[one + u] - colour[other + u];
                sum += off * off;
            }
        }
        return sum;
    }

    /** The square of how far astray along the edge it lies, and, less, of how much deeper than need be. */
    private int cost(int at, int candidate) {
        double across = Math.abs(columns[candidate] - columns[at]);
        double down = Math.abs(rows[candidate] - rows[at]);
        int widest = 2 * field.margins.widest();
        boolean isBeside = field.beyondX(columns[at]) > 0;
        boolean isAbove = field.beyondY(rows[at]) > 0;
        double cost = isBeside && !isAbove ? down * down * costAlong : tooDeep(down - widest);
        cost += isAbove && !isBeside ? across * across * costAlong : tooDeep(across - widest);
        return (int) Math.min(1 << 28, cost * VALUES);
    }

    private double tooDeep(double more) {
        return more > 0 ? more * more * costDeep : 0;
    }

    /** A number by chance, both ends among them; Marsaglia's xorshift. */
    private int chance(int least, int most) {
        random ^= random << 13;
        random ^= random >>> 17;
        random ^= random << 5;
        return least + (int) ((random & 0xFFFFFFFFL) * (most - least + 1) >>> 32);
    }

    private static int within(int value, int least, int most) {
        return Math.max(least, Math.min(most, value));
    }
}
