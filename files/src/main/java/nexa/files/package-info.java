/**
 * Files as shoots and deliveries need them: written whole or not at all, read only where they are regular ones, locked for one
 * program, told apart by stamp and digest. Knows nothing of what is in them.
 */
package nexa.files;
