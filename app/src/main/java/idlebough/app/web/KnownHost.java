package idlebough.app.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Arrays;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Answers only to names that are ours: another site's name that points here gets nothing (DNS rebinding). */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class KnownHost extends OncePerRequestFilter {
    private static final Set<String> THIS_MACHINE = Set.of("localhost", "127.0.0.1", "[::1]");
    private final Set<String> ours;

    /** @param hosts further names, split by commas: those under which a proxy is asked for us */
    KnownHost(@Value("${bough.hosts:}") String hosts) {
        ours = Arrays.stream(hosts.split(","))
                .map(name -> name.strip().toLowerCase(Locale.ROOT))
                .filter(name -> !name.isEmpty())
                .collect(Collectors.toUnmodifiableSet());
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String asked = request.getServerName().toLowerCase(Locale.ROOT);
        if (THIS_MACHINE.contains(asked) || ours.contains(asked)) {
            chain.doFilter(request, response);
            return;
        }
        response.setStatus(HttpStatus.MISDIRECTED_REQUEST.value());
        response.setContentType(MediaType.TEXT_PLAIN_VALUE);
        response.setCharacterEncoding("UTF-8");
        response.getWriter()
                .print(
                        "This server does not go by that name. Whoever runs it can let it: BOUGH_HOSTS=name ./bough start");
    }
}
