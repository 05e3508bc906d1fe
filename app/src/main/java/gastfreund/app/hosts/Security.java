package gastfreund.app.hosts;

import gastfreund.app.secondfactor.SecondFactors;
import gastfreund.app.strangers.Guard;
import gastfreund.app.typed.Written;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.Filter;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configuration.EnableWebSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.authentication.WebAuthenticationDetails;
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

    /** What came with a sign-in beside mail address and password. */
    static final class Typed extends WebAuthenticationDetails {

        private static final long serialVersionUID = 1L;
        private static final int MOST = 200;

        private final String code;
        private final String agent;

        Typed(HttpServletRequest request) {
            super(request);
            this.code = Written.line(request.getParameter("code"), MOST);
            this.agent = Written.line(request.getHeader("User-Agent"), MOST);
        }

        String agent() {
            return agent;
        }
    }

    /** Whoever has a second factor needs a code of it too; nobody learns which of the three was wrong. */
    @Bean
    static DaoAuthenticationProvider signIns(HostService hosts, PasswordEncoder passwords, SecondFactors factors) {
        DaoAuthenticationProvider provider = new DaoAuthenticationProvider(hosts) {
            @Override
            protected void additionalAuthenticationChecks(UserDetails user, UsernamePasswordAuthenticationToken typed) {
                super.additionalAuthenticationChecks(user, typed);
                String code = typed.getDetails() instanceof Typed more ? more.code : "";
                boolean right = hosts.byEmail(user.getUsername())
                        .map(h -> factors.isRight(h.id(), code))
                        .orElse(false);
                if (!right) {
                    throw new BadCredentialsException("the code is not right");
                }
            }
        };
        provider.setPasswordEncoder(passwords);
        provider.setUserDetailsPasswordService(hosts);
        return provider;
    }

    @Bean
    @Order(1)
    SecurityFilterChain desk(HttpSecurity http, HostService hosts, Slowing slowing) throws Exception {
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
                .authorizeHttpRequests(
                        // What goes on of a request that was let in is let in.
                        requests -> requests.dispatcherTypeMatchers(DispatcherType.ASYNC)
                                .permitAll()
                                .requestMatchers("/desk/sign-in", "/desk/welcome", "/desk/invitation/*")
                                .permitAll()
                                .anyRequest()
                                .authenticated())
                .formLogin(form -> form.loginPage("/desk/sign-in")
                        .usernameParameter("email")
                        .authenticationDetailsSource(Typed::new)
                        .defaultSuccessUrl("/desk")
                        .failureUrl("/desk/sign-in?wrong"))
                .logout(out -> out.logoutUrl("/desk/sign-out").logoutSuccessUrl("/desk/sign-in?signed-out"))
                .addFilterBefore(slower, UsernamePasswordAuthenticationFilter.class)
                .addFilterBefore(new DeskGate(hosts), AuthorizationFilter.class);
        return http.build();
    }

    /** Guests' pages: no session, and no cookie but that of a guest who is in their account; who knows a basket's or a booking's token may see it. */
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
