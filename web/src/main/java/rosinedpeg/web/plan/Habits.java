package rosinedpeg.web.plan;

import java.util.EnumSet;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.plan.Material;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.SignedIn;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** How the person who is signed in likes to work, and what is in their kit. */
@Service
@Transactional(readOnly = true)
class Habits {

    private final HabitRepository habits;
    private final KitItemRepository kit;
    private final JsonMapper json;

    Habits(HabitRepository habits, KitItemRepository kit, JsonMapper json) {
        this.habits = habits;
        this.kit = kit;
        this.json = json;
    }

    /** {@return the schools somebody took last on such an instrument; the family's usual ones before the first time} */
    Schools schools(Family family) {
        return habits.findByAccountIdAndFamily(person().accountId(), family)
                .map(habit -> read(habit.schools(), family))
                .orElseGet(() -> Schools.usual(family));
    }

    private Schools read(String kept, Family family) {
        try {
            return json.readValue(kept, Schools.class);
        } catch (JacksonException ofAnotherVersion) {
            return Schools.usual(family);
        }
    }

    /** Remembers how somebody worked. What gears leave no choice of stays as it is on instruments with pegs that hold by friction. */
    @Transactional
    void remember(SetUp setUp, Schools schools) {
        SignedIn person = person();
        Family family = setUp.family();
        Schools chosen = setUp.pegKind().holdsByFriction() ? schools : schools.withFrictionOf(schools(family));
        habits.remember(person.workshopId(), person.accountId(), family.name(), json.writeValueAsString(chosen));
    }

    /** {@return what is in the kit} */
    Set<Material> kit() {
        Set<Material> materials = EnumSet.noneOf(Material.class);
        kit.findByAccountId(person().accountId()).forEach(item -> materials.add(item.material()));
        return materials;
    }

    /** Says what is in the kit now. */
    @Transactional
    void setKit(Set<Material> materials) {
        SignedIn person = person();
        kit.deleteByAccountIdAndMaterialNotIn(person.accountId(), materials);
        materials.forEach(material -> kit.add(person.workshopId(), person.accountId(), material.name()));
    }

    private static SignedIn person() {
        return CurrentWorkshop.account().orElseThrow();
    }
}
