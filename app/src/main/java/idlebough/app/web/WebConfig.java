package idlebough.app.web;

import idlebough.app.store.Account;
import idlebough.app.store.AccountMapper;
import idlebough.app.store.NotFound;
import idlebough.app.store.Scope;
import java.util.List;
import java.util.Map;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Hands controllers the {@link Reader}, the {@link Scope} and the {@link FormStamp} of a request. */
@Configuration
public class WebConfig implements WebMvcConfigurer {
    private final AccountMapper accounts;

    WebConfig(AccountMapper accounts) {
        this.accounts = accounts;
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(new ReaderResolver());
        resolvers.add(new ScopeResolver());
        resolvers.add(new StampResolver());
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(new Door());
        registry.addInterceptor(new ReturnTo());
    }

    private static String accountId() {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        if (authentication == null || !(authentication.getPrincipal() instanceof SignedIn signedIn)) {
            throw new NotFound();
        }
        return signedIn.accountId();
    }

    private final class ReaderResolver implements HandlerMethodArgumentResolver {
        @Override
        public boolean supportsParameter(MethodParameter parameter) {
            return parameter.getParameterType() == Reader.class;
        }

        @Override
        public Object resolveArgument(
                MethodParameter parameter,
                ModelAndViewContainer container,
                NativeWebRequest request,
                WebDataBinderFactory binder) {
            Account account = accounts.byId(accountId());
            if (account == null) {
                throw new NotFound();
            }
            Reader reader = new Reader(account.id(), account.name(), account.display());
            request.setAttribute(Reader.SHOWN_IN, account.display(), RequestAttributes.SCOPE_REQUEST);
            container.addAttribute("say", reader);
            container.addAttribute("display", account.display());
            return reader;
        }
    }

    private static final class ScopeResolver implements HandlerMethodArgumentResolver {
        @Override
        public boolean supportsParameter(MethodParameter parameter) {
            return parameter.getParameterType() == Scope.class;
        }

        @Override
        @SuppressWarnings("unchecked")
        public Object resolveArgument(
                MethodParameter parameter,
                ModelAndViewContainer container,
                NativeWebRequest request,
                WebDataBinderFactory binder) {
            Map<String, String> path = (Map<String, String>) request.getAttribute(
                    HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE, RequestAttributes.SCOPE_REQUEST);
            return new Scope(path.get("orchard"), accountId());
        }
    }

    private static final class StampResolver implements HandlerMethodArgumentResolver {
        @Override
        public boolean supportsParameter(MethodParameter parameter) {
            return parameter.getParameterType() == FormStamp.class;
        }

        @Override
        public Object resolveArgument(
                MethodParameter parameter,
                ModelAndViewContainer container,
                NativeWebRequest request,
                WebDataBinderFactory binder)
                throws MissingServletRequestParameterException {
            String id = request.getParameter(FormStamp.ID);
            String revision = request.getParameter(FormStamp.REVISION);
            if (id == null || !id.matches("[0-9a-f-]{36}")) {
                throw new MissingServletRequestParameterException(FormStamp.ID, "UUID");
            }
            if (revision == null || !revision.matches("\\d{1,15}")) {
                throw new MissingServletRequestParameterException(FormStamp.REVISION, "long");
            }
            return new FormStamp(id, Long.parseLong(revision));
        }
    }
}
