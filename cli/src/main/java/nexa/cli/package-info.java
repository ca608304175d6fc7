/**
 * The work of Nexa without a window. Standard output carries the result only; what is said beside it goes to standard
 * error. It may use store, imaging, words and core; nothing uses it. Start at {@link nexa.cli.NexaCommand}, the only place that
 * ends the program.
 */
package nexa.cli;
