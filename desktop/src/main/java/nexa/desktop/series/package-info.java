/** What the views share of working on a set: carrying a crop across, and saying how near crops are to their lead. */
package nexa.desktop.series;

