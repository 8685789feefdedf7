package rosinedpeg.web.platform;

import java.util.List;

/**
 * What a table that somebody sends has to keep to.
 *
 * @param purpose what it is to become
 * @param needed the headings that have to be there
 * @param mostRows how many rows it may have
 * @param largestBytes how large it may be
 */
public record TableRules(WaitingFiles.Purpose purpose, List<String> needed, int mostRows, int largestBytes) {}
