package stillpond.app.remark;

import java.util.UUID;

/** What is done with a remark. */
enum RemarkAct {
    ANSWER {
        @Override
        void on(Remarks remarks, UUID project, UUID remark, UUID by, String body) {
            remarks.answer(project, remark, by, body);
        }
    },
    DONE {
        @Override
        void on(Remarks remarks, UUID project, UUID remark, UUID by, String body) {
            remarks.finish(project, remark, by);
        }
    },
    OPEN_AGAIN {
        @Override
        void on(Remarks remarks, UUID project, UUID remark, UUID by, String body) {
            remarks.openAgain(project, remark, by);
        }
    };

    /** @param body what is answered; else nothing is made of it */
    abstract void on(Remarks remarks, UUID project, UUID remark, UUID by, String body);
}
