/** Whether strings keep clear of each other and of everything else in the pegbox. */
package rosinedpeg.core.clearance;
