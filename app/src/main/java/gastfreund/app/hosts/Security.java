package gastfreund.app.hosts;

import gastfreund.app.house.Settings;
import gastfreund.app.payments.Gateways;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configuration.EnableWebSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.annotation.web.configurers.HeadersConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.header.HeaderWriterFilter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/** What keeps strangers out of the desk, and other websites out of both. */
@Configuration
@EnableWebSecurity
class Security {

    /** BCrypt, with its name before the hash, so that a better one can follow. */
    @Bean
    PasswordEncoder passwordEncoder() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }

    @Bean
    @Order(1)
    SecurityFilterChain desk(HttpSecurity http, Settings settings, Gateways gateways) throws Exception {
        guard(http, settings, gateways)
                .securityMatcher("/desk", "/desk/**")
                .authorizeHttpRequests(requests -> requests.requestMatchers("/desk/sign-in", "/desk/welcome")
                        .permitAll()
                        .requestMatchers("/desk/ways", "/desk/ways/**")
                        .hasRole("OWNER")
                        .requestMatchers(HttpMethod.POST, "/desk/payments/**")
                        .hasAnyRole("OWNER", "MANAGER")
                        .requestMatchers(HttpMethod.POST, "/desk/orders/*/bookings/*/refund",
                                "/desk/orders/*/bookings/*/cancel", "/desk/orders/*/bookings/*/missed", "/desk/orders/*/goods/*/return",
                                "/desk/orders/*/release")
                        .hasAnyRole("OWNER", "MANAGER")
                        .anyRequest()
                        .hasAnyRole("OWNER", "MANAGER", "STAFF"))
                .formLogin(form -> form.loginPage("/desk/sign-in")
                        .usernameParameter("email")
                        .defaultSuccessUrl("/desk")
                        .failureUrl("/desk/sign-in?wrong"))
                .logout(out -> out.logoutUrl("/desk/sign-out").logoutSuccessUrl("/desk/sign-in?signed-out"));
        return http.build();
    }

    /** Guests' pages: no session, no cookie; who knows a basket's or a booking's token may see it. */
    @Bean
    @Order(2)
    SecurityFilterChain front(HttpSecurity http, Settings settings, Gateways gateways) throws Exception {
        guard(http, settings, gateways)
                .sessionManagement(sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .csrf(AbstractHttpConfigurer::disable)
                .requestCache(AbstractHttpConfigurer::disable)
                .authorizeHttpRequests(requests -> requests.anyRequest().permitAll());
        return http.build();
    }

    private static HttpSecurity guard(HttpSecurity http, Settings settings, Gateways gateways) throws Exception {
        return http.headers(headers -> headers.frameOptions(HeadersConfigurer.FrameOptionsConfig::deny)
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN)))
                .addFilterBefore(new Nonce(gateways::origins), HeaderWriterFilter.class)
                .addFilterAfter(new SameOrigin(), HeaderWriterFilter.class)
                .addFilterAfter(new Limits(settings.limits()), SameOrigin.class);
    }
}
