package gastfreund.app.hosts;

import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * @param slower how much longer a sign-in takes after the first failures at its account; doubled by each more
 * @param passwordCost how dear it is to try a password: the binary logarithm of BCrypt's rounds; tests take the least
 */
@ConfigurationProperties("gastfreund.limits")
record SignInSettings(@DefaultValue("500ms") Duration slower, @DefaultValue("10") int passwordCost) {}
