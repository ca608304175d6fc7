/**
 * The crops of a whole shoot: untouched, own, or followed from a lead. Nothing else in Nexa computes which crop a photo
 * has. Everything outside of core may use it. Start at {@link nexa.core.series.Crops}; {@link nexa.core.series.Adjust} takes
 * changes made by hand.
 */
package nexa.core.series;
