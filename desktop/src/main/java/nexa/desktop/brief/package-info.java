/** Briefs: what was asked for, kept for other shoots, used on this one, made of it. Start from BriefPanel. */
package nexa.desktop.brief;
