package nexa.core.shape;

/**
 * Three numbers across and down, the same across as down, made by adding v vᵀ of vectors v. Its eigenvectors are those
 * directions that the vectors lie along most and least.
 */
final class SymmetricMatrix {
    private static final int MOST_SWEEPS = 50;

    private final double[][] values = new double[3][3];

    void add(double[] vector) {
        for (int i = 0; i < 3; i++) {
            for (int j = 0; j < 3; j++) {
                values[i][j] += vector[i] * vector[j];
            }
        }
    }

    /**
     * Its eigenvalues and unit eigenvectors, the largest first.
     *
     * @param vectors one a row
     */
    record Eigen(double[] values, double[][] vectors) {}

    /** By Jacobi's rotations; see Golub and Van Loan, Matrix Computations, 8.5. */
    Eigen eigen() {
        double[][] left = {values[0].clone(), values[1].clone(), values[2].clone()};
        double[][] vectors = {{1, 0, 0}, {0, 1, 0}, {0, 0, 1}};
        for (int sweep = 0; sweep < MOST_SWEEPS && !isDiagonal(left); sweep++) {
            for (int p = 0; p < 2; p++) {
                for (int q = p + 1; q < 3; q++) {
                    rotate(left, vectors, p, q);
                }
            }
        }
        return sorted(new double[] {left[0][0], left[1][1], left[2][2]}, vectors);
    }

    private static boolean isDiagonal(double[][] of) {
        return of[0][1] == 0 && of[0][2] == 0 && of[1][2] == 0;
    }

    /** Makes what couples two directions nought. */
    private static void rotate(double[][] of, double[][] vectors, int p, int q) {
        if (of[p][q] == 0) {
            return;
        }
        double half = (of[q][q] - of[p][p]) / (2 * of[p][q]);
        double tan = (half >= 0 ? 1 : -1) / (Math.abs(half) + Math.hypot(half, 1));
        double cos = 1 / Math.hypot(tan, 1);
        double sin = tan * cos;
        for (int k = 0; k < 3; k++) {
            double first = of[k][p];
            of[k][p] = cos * first - sin * of[k][q];
            of[k][q] = sin * first + cos * of[k][q];
        }
        for (double[][] rows : new double[][][] {of, vectors}) {
            for (int k = 0; k < 3; k++) {
                double first = rows[p][k];
                rows[p][k] = cos * first - sin * rows[q][k];
                rows[q][k] = sin * first + cos * rows[q][k];
            }
        }
    }

    private static Eigen sorted(double[] values, double[][] vectors) {
        for (int i = 0; i < 2; i++) {
            for (int j = 0; j < 2 - i; j++) {
                if (values[j] < values[j + 1]) {
                    double value = values[j];
                    double[] vector = vectors[j];
                    values[j] = values[j + 1];
                    vectors[j] = vectors[j + 1];
                    values[j + 1] = value;
                    vectors[j + 1] = vector;
                }
            }
        }
        return new Eigen(values, vectors);
    }
}
