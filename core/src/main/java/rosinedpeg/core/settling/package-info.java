/** How far a new string sinks after it is on, and when it holds. */
package rosinedpeg.core.settling;
