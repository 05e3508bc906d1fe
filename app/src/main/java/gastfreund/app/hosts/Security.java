package gastfreund.app.hosts;

import gastfreund.app.strangers.Guard;
import jakarta.servlet.Filter;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.Map;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configuration.EnableWebSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.security.web.util.matcher.RequestMatcher;

/** What keeps strangers out of the desk, and other websites out of both. What hosts may do, {@link DeskRights} says. */
@Configuration
@EnableWebSecurity
class Security {

    private final Guard guard;

    Security(Guard guard) {
        this.guard = guard;
    }

    /** The way in which a password is kept stands before its hash, so that a better one can follow. */
    @Bean
    static PasswordEncoder passwordEncoder(SignInSettings settings) {
        return new DelegatingPasswordEncoder(
                "bcrypt-sha256",
                Map.of(
                        "bcrypt-sha256",
                        new LongPasswordEncoder(settings.passwordCost()),
                        "bcrypt",
                        new BCryptPasswordEncoder()));
    }

    @Bean
    @Order(1)
    SecurityFilterChain desk(HttpSecurity http, HostService hosts, Slowing slowing, Clock clock) throws Exception {
        RequestMatcher signIn = PathPatternRequestMatcher.withDefaults().matcher(HttpMethod.POST, "/desk/sign-in");
        Filter slower = (request, response, chain) -> {
            HttpServletRequest asked = (HttpServletRequest) request;
            if (signIn.matches(asked)) {
                slowing.filter(asked, (HttpServletResponse) response, chain);
            } else {
                chain.doFilter(request, response);
            }
        };
        guard.guard(http)
                .securityMatcher("/desk", "/desk/**")
                .authorizeHttpRequests(requests -> requests.requestMatchers("/desk/sign-in", "/desk/welcome")
                        .permitAll()
                        .anyRequest()
                        .authenticated())
                .formLogin(form -> form.loginPage("/desk/sign-in")
                        .usernameParameter("email")
                        .defaultSuccessUrl("/desk")
                        .failureUrl("/desk/sign-in?wrong"))
                .logout(out -> out.logoutUrl("/desk/sign-out").logoutSuccessUrl("/desk/sign-in?signed-out"))
                .addFilterBefore(slower, UsernamePasswordAuthenticationFilter.class)
                .addFilterBefore(new DeskGate(hosts, clock), AuthorizationFilter.class);
        return http.build();
    }

    /** Guests' pages: no session, no cookie; who knows a basket's or a booking's token may see it. */
    @Bean
    @Order(2)
    SecurityFilterChain front(HttpSecurity http) throws Exception {
        guard.guard(http)
                .sessionManagement(sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .csrf(AbstractHttpConfigurer::disable)
                .requestCache(AbstractHttpConfigurer::disable)
                .authorizeHttpRequests(requests -> requests.anyRequest().permitAll());
        return http.build();
    }
}
