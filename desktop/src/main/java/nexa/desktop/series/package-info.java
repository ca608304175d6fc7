/**
 * What the views share of working on a set: what is done to one photo and to many, carrying a crop across, and saying how
 * near crops are to their lead. The views and the desk may use it. Start at {@link nexa.desktop.series.PhotoEdits}.
 */
package nexa.desktop.series;
