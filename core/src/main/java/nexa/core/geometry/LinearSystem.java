package nexa.core.geometry;

/** Linear equations of a few unknowns, by elimination with the largest pivot of each column. */
public final class LinearSystem {
    private static final double SINGULAR = 1e-13;

    private LinearSystem() {}

    /**
     * What solves them; null if they are singular.
     *
     * @param rows square; used up
     * @param right used up
     */
    public static double[] solve(double[][] rows, double[] right) {
        int count = right.length;
        for (int column = 0; column < count; column++) {
            int pivot = column;
            for (int i = column + 1; i < count; i++) {
                pivot = Math.abs(rows[i][column]) > Math.abs(rows[pivot][column]) ? i : pivot;
            }
            if (Math.abs(rows[pivot][column]) < SINGULAR) {
                return null;
            }
            swap(rows, right, column, pivot);
            for (int i = column + 1; i < count; i++) {
                double factor = rows[i][column] / rows[column][column];
                for (int j = column; j < count; j++) {
                    rows[i][j] -= factor * rows[column][j];
                }
                right[i] -= factor * right[column];
            }
        }
        for (int i = count - 1; i >= 0; i--) {
            for (int j = i + 1; j < count; j++) {
                right[i] -= rows[i][j] * right[j];
            }
            right[i] /= rows[i][i];
        }
        return right;
    }

    private static void swap(double[][] rows, double[] right, int one, int other) {
        double[] row = rows[one];
        rows[one] = rows[other];
        rows[other] = row;
        double value = right[one];
        right[one] = right[other];
        right[other] = value;
    }
}
