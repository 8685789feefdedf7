package rosinedpeg.web.bench;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import rosinedpeg.core.setup.Measurable;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.JacksonModule;
import tools.jackson.databind.KeyDeserializer;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.module.SimpleModule;

/** How a plan is kept with its run: what was measured goes by its code, as BRIDGE_HEIGHT or NUT_TO_PEG_IV. */
@Configuration
class PlanJson {

    @Bean
    JacksonModule measurables() {
        return new SimpleModule("measurables")
                .addKeySerializer(Measurable.class, new ValueSerializer<>() {
                    @Override
                    public void serialize(Measurable measurable, JsonGenerator json, SerializationContext context) {
                        json.writeName(measurable.code());
                    }
                })
                .addKeyDeserializer(Measurable.class, new KeyDeserializer() {
                    @Override
                    public Object deserializeKey(String code, DeserializationContext context) {
                        return Measurable.ofCode(code);
                    }
                });
    }
}
