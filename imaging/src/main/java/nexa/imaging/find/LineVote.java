package nexa.imaging.find;

/**
 * The straight line most places vote for, each for all lines through it; a first guess that single wrong places do not spoil.
 *
 * @param tilt by how much it is further down at the right side than in the middle, in pixels
 * @param offset of its middle, in pixels downwards
 */
record LineVote(double tilt, double offset) {
    /**
     * Counts the votes.
     *
     * @param across of each place, −1 at the picture's left side and 1 at its right
     * @param offset of each place, in pixels downwards, at most the reach
     * @param weight of each place
     * @param most the most the line tilts
     * @param tilts how many tilts are tried
     */
    static LineVote of(double[] across, double[] offset, double[] weight, int reach, double most, int tilts) {
        double best = 0;
        LineVote winner = new LineVote(0, 0);
        for (int t = 0; t < tilts; t++) {
            double tilt = (2.0 * t / (tilts - 1) - 1) * most;
            double[] bins = new double[8 * reach + 1];
            for (int i = 0; i < across.length; i++) {
                int bin = (int) ((offset[i] - tilt * across[i] + 2 * reach) * 2);
                bins[Math.max(0, Math.min(bins.length - 1, bin))] += weight[i];
            }
            for (int m = 2; m < bins.length - 1; m++) {
                double votes = 0.5 * bins[m + 1] + bins[m] + bins[m - 1] + 0.5 * bins[m - 2];
                if (votes > best) {
                    best = votes;
                    winner = new LineVote(tilt, m / 2.0 - 2 * reach);
                }
            }
        }
        return winner;
    }
}
