/**
 * What is found in pictures, from edges measured in them: how sure it is, and why not. Knows no pixels. What measures pictures,
 * keeps what was found and shows it may use it. Start at {@link nexa.core.find.FoundLevel} and {@link
 * nexa.core.find.LevelClaim}.
 */
package nexa.core.find;
