package idlebough.app.web;

import jakarta.servlet.http.HttpServletRequest;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.support.RequestDataValueProcessor;

/** Puts a {@link FormStamp} into every form that posts, beside the token that security puts there. */
@Component
class StampedForms implements BeanPostProcessor {
    /** The attribute of a request that holds the revision of the plan that its page shows. */
    static final String SHOWN = "idlebough.revision";

    @Override
    public Object postProcessAfterInitialization(Object bean, String name) {
        return bean instanceof RequestDataValueProcessor security && !(bean instanceof Stamping)
                ? new Stamping(security)
                : bean;
    }

    private record Stamping(RequestDataValueProcessor security) implements RequestDataValueProcessor {
        @Override
        public String processAction(HttpServletRequest request, String action, String method) {
            return security.processAction(request, action, method);
        }

        @Override
        public String processFormFieldValue(HttpServletRequest request, String name, String value, String type) {
            return security.processFormFieldValue(request, name, value, type);
        }

        @Override
        public Map<String, String> getExtraHiddenFields(HttpServletRequest request) {
            Map<String, String> hidden = new LinkedHashMap<>();
            Map<String, String> token = security.getExtraHiddenFields(request);
            if (token != null) {
                hidden.putAll(token);
            }
            Object shown = request.getAttribute(SHOWN);
            // Forms that only ask are not stamped: security gives those no token either.
            if (shown != null && !hidden.isEmpty()) {
                hidden.put(FormStamp.ID, UUID.randomUUID().toString());
                hidden.put(FormStamp.REVISION, shown.toString());
            }
            return hidden;
        }

        @Override
        public String processUrl(HttpServletRequest request, String url) {
            return security.processUrl(request, url);
        }
    }
}
