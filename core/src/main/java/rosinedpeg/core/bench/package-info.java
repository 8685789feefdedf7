/** The ledger of a change as it happens, and the state that follows from it. */
package rosinedpeg.core.bench;
