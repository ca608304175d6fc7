/** All crops of one format and orientation beside each other. Start at {@link nexa.desktop.lineup.LineUpView}. */
package nexa.desktop.lineup;

