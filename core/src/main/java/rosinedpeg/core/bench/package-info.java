/**
 * The ledger of a change as it happens, and the state that follows from it. Nothing in a ledger is ever changed: going back
 * is an event too, and the state is folded anew from all of them. Begin with {@link rosinedpeg.core.bench.BenchLedger},
 * which folds, and {@link rosinedpeg.core.bench.BenchState}, what comes of it; {@link rosinedpeg.core.bench.OwedAfter} says
 * what a run leaves to do, {@link rosinedpeg.core.bench.Learned} what its readings teach.
 */
@NullMarked
package rosinedpeg.core.bench;

import org.jspecify.annotations.NullMarked;
