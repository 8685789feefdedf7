package rosinedpeg.web.platform;

import org.hibernate.boot.model.FunctionContributions;
import org.hibernate.boot.model.FunctionContributor;
import org.hibernate.type.StandardBasicTypes;

/**
 * {@code among(id, :ids)} in a query: whether an id is one of an array of them, which is one value however many they are. {@code in} makes
 * a parameter of each, and of 2000 those alone take longer than reading what they stand for. Hibernate finds it by {@code META-INF/services}.
 */
public class AmongFunction implements FunctionContributor {

    @Override
    public void contributeFunctions(FunctionContributions functions) {
        functions
                .getFunctionRegistry()
                .patternDescriptorBuilder("among", "?1=any(?2)")
                .setExactArgumentCount(2)
                .setInvariantType(
                        functions.getTypeConfiguration().getBasicTypeRegistry().resolve(StandardBasicTypes.BOOLEAN))
                .register();
    }
}
