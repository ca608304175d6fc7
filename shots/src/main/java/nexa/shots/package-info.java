/** Takes the pictures of the documentation from the real window. Not a part of what is delivered. */
package nexa.shots;
