package rosinedpeg.web;

import org.springframework.data.jpa.repository.query.QueryEnhancerFactories;
import org.springframework.data.jpa.repository.query.QueryEnhancerSelector;

/**
 * Leaves the queries of repositories to Hibernate, which reads and checks each when the application starts. Spring Data would parse them all
 * as well, a quarter of what a start took, only to be able to sort and count what they find; nothing here is sorted otherwise than its
 * query says, and the few that are counted are plain enough for its simpler reader.
 */
class QueriesAsWritten extends QueryEnhancerSelector.DefaultQueryEnhancerSelector {

    QueriesAsWritten() {
        super(QueryEnhancerFactories.fallback(), QueryEnhancerFactories.fallback());
    }
}
