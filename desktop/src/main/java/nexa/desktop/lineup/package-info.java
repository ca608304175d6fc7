/**
 * All crops of one format and orientation beside each other. Only the shell may use it. Start at {@link
 * nexa.desktop.lineup.LineUpView}.
 */
package nexa.desktop.lineup;
