package rosinedpeg.web.platform;

import java.util.Map;
import org.hibernate.boot.model.FunctionContributions;
import org.hibernate.boot.model.FunctionContributor;
import org.hibernate.boot.spi.MetadataBuilderContributor;
import org.hibernate.jpa.boot.spi.JpaSettings;
import org.hibernate.type.StandardBasicTypes;
import org.springframework.boot.hibernate.autoconfigure.HibernatePropertiesCustomizer;
import org.springframework.stereotype.Component;

/**
 * {@code among(id, :ids)} in a query: whether an id is one of an array of them, which is one value however many they are. {@code in} makes
 * a parameter of each, and of 2000 those alone take longer than reading what they stand for.
 */
@Component
class AmongFunction implements FunctionContributor, HibernatePropertiesCustomizer {

    @Override
    public void customize(Map<String, Object> properties) {
        MetadataBuilderContributor contributor = metadata -> metadata.applyFunctions(this);
        properties.put(JpaSettings.METADATA_BUILDER_CONTRIBUTOR, contributor);
    }

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
