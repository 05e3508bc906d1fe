package gastfreund.app.payments;

import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Carries out what was decided about payments, until the gateway has done it. */
@Component
class StepJob {

    private final PaymentSteps steps;

    StepJob(PaymentSteps steps) {
        this.steps = steps;
    }

    @Scheduled(fixedDelayString = "${gastfreund.jobs.steps:3s}")
    void run() {
        steps.carryOut();
    }
}
