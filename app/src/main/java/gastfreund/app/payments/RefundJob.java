package gastfreund.app.payments;

import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Carries out refunds that were decided, until the gateway has taken them. */
@Component
class RefundJob {

    private final PaymentService payments;

    RefundJob(PaymentService payments) {
        this.payments = payments;
    }

    @Scheduled(fixedDelayString = "${gastfreund.jobs.refunds:3s}")
    void run() {
        payments.carryOutRefunds();
    }
}
