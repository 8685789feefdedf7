package rosinedpeg.web.lend;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Page;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.NotFoundException;

/** Who borrows. They are called as the workshop calls them, and can be removed; their loans stay, without them. */
@Service
@Transactional(readOnly = true)
class Borrowers {

    /** The most characters of a name. */
    static final int LONGEST_NAME = 80;
    /** The most characters of how somebody is reached. */
    static final int LONGEST_REACHED = 160;
    /** So many are suggested by their names. */
    private static final int SUGGESTED = 300;

    private final BorrowerRepository borrowers;
    private final LoanRepository loans;

    Borrowers(BorrowerRepository borrowers, LoanRepository loans) {
        this.borrowers = borrowers;
        this.loans = loans;
    }

    /**
     * Somebody who borrows.
     *
     * @param id their id
     * @param name what they are called
     * @param reached how they are reached; may be empty
     * @param has whether they have an instrument now
     * @param version how often that was changed
     */
    record Borrower(UUID id, String name, String reached, boolean has, int version) {}

    /** {@return as many as fit on a page, after so many, by their names} */
    ListPage<Borrower> page(int from) {
        Page<BorrowerEntity> part = borrowers.findAllByOrderByNameAscId(ListPage.after(from));
        Set<UUID> having =
                new HashSet<>(loans.having(part.stream().map(BorrowerEntity::id).toList()));
        return ListPage.of(part.map(one -> view(one, having.contains(one.id()))));
    }

    private static Borrower view(BorrowerEntity one, boolean has) {
        return new Borrower(one.id(), one.name(), one.reached(), has, one.version());
    }

    /**
     * Somebody.
     *
     * @throws NotFoundException when this workshop knows no such borrower
     */
    Borrower get(UUID id) {
        return view(entity(id), !loans.having(List.of(id)).isEmpty());
    }

    private BorrowerEntity entity(UUID id) {
        return borrowers.findById(id).orElseThrow(() -> new NotFoundException("borrower " + id));
    }

    /** {@return what some are called, for whoever types a name} */
    List<String> names() {
        return borrowers.names(Limit.of(SUGGESTED));
    }

    /** {@return whether another one is called so} */
    boolean nameTaken(String name, UUID byAnotherThan) {
        return borrowers
                .findFirstByNameIgnoreCase(name)
                .filter(one -> !one.id().equals(byAnotherThan))
                .isPresent();
    }

    /**
     * Puts right what somebody is called and how they are reached.
     *
     * @throws OptimisticLockingFailureException when somebody else has changed it since
     */
    @Transactional
    void change(UUID id, int seen, String name, String reached) {
        BorrowerEntity one = entity(id);
        if (one.version() != seen) {
            throw new OptimisticLockingFailureException("borrower " + id + " is at " + one.version());
        }
        one.change(name, reached);
        borrowers.flush();
    }

    /**
     * Removes somebody: nothing says any more who they were. Their loans stay on record without them.
     *
     * @return whether it could be done: not while they have an instrument, or are promised one
     */
    @Transactional
    boolean remove(UUID id) {
        if (loans.existsByBorrowerIdAndBackAtIsNull(id)) {
            return false;
        }
        loans.forget(id);
        borrowers.findById(id).ifPresent(borrowers::delete);
        return true;
    }
}
