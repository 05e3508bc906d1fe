package gastfreund.app.running;

import gastfreund.app.rounds.Condition;
import java.util.Map;
import org.springframework.boot.health.contributor.AbstractHealthIndicator;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.Status;
import org.springframework.context.annotation.Conditional;
import org.springframework.stereotype.Component;

/** Says to programs that watch the house what is stuck. What is only late does not make it ill. */
@Component("house")
@Conditional(Watched.class)
class HouseHealth extends AbstractHealthIndicator {

    private final Running running;

    HouseHealth(Running running) {
        super("it could not be asked how the house goes");
        this.running = running;
    }

    @Override
    protected void doHealthCheck(Health.Builder builder) {
        Map<String, Condition> conditions = running.conditions();
        builder.status(Running.worst(conditions) == Condition.State.STUCK ? Status.DOWN : Status.UP);
        conditions.forEach((code, condition) -> builder.withDetail(code, condition));
    }
}
