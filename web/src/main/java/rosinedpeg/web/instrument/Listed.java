package rosinedpeg.web.instrument;

import java.util.UUID;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.wear.Demand;

/** What is read of an instrument where there are hundreds of them. */
record Listed(UUID id, String name, Family family, int strings, double hoursPerWeek, Demand demand) {}
