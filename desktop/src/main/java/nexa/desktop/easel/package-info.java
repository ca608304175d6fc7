/** One photo, large, with its crop live. Start at {@link nexa.desktop.easel.EaselView}. */
package nexa.desktop.easel;

