package stillpond.core.carry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import stillpond.core.carry.Carry.Choice;

class VotesTest {

    private static final int COAT = 1;
    private static final int BOOTS = 2;

    @Test
    void oneSourceIsTakenAtItsWord() {
        List<Choice> choices = Votes.counted(List.of(said(0, COAT, 0.6, BOOTS, 0.3)));
        assertThat(choices).extracting(Choice::label).containsExactly(COAT, BOOTS);
        assertThat(choices).extracting(Choice::share).containsExactly(0.6, 0.3);
    }

    @Test
    void sourcesThatSayTheSameAreMoreCertainThanEach() {
        List<Choice> choices = Votes.counted(List.of(said(0, COAT, 0.9, BOOTS, 0.05), said(1, COAT, 0.8, BOOTS, 0.1)));
        assertThat(choices.get(0).label()).isEqualTo(COAT);
        assertThat(choices.get(0).share()).isBetween(0.97, 0.999);
        assertThat(choices.get(0).source()).as("the one that says it strongest").isZero();
    }

    /** Of two that are equally certain of different things neither is believed: half each, as little as is left for none. */
    @Test
    void sourcesThatContradictEachOtherMakeNothingSure() {
        List<Choice> choices = Votes.counted(List.of(said(0, COAT, 0.99, BOOTS, 0), said(1, COAT, 0, BOOTS, 0.99)));
        assertThat(choices).allSatisfy(choice -> assertThat(choice.share()).isEqualTo(0.497, within(0.001)));
    }

    @Test
    void twoAgainstOneAreLikelierWithoutBeingSure() {
        List<Choice> choices = Votes.counted(List.of(
                said(0, COAT, 0.9, BOOTS, 0.0), said(1, COAT, 0.9, BOOTS, 0.0), said(2, COAT, 0.0, BOOTS, 0.9)));
        assertThat(choices.get(0).label()).isEqualTo(COAT);
        assertThat(choices.get(0).share()).isBetween(0.85, 0.95);
    }

    @Test
    void twoThatAreCertainDoNotSilenceAThird() {
        List<Choice> choices = Votes.counted(
                List.of(said(0, COAT, 0.99, BOOTS, 0), said(1, COAT, 0.99, BOOTS, 0), said(2, COAT, 0, BOOTS, 0.99)));
        assertThat(choices.get(0).label()).isEqualTo(COAT);
        assertThat(choices.get(0).share()).isLessThan(0.9);
    }

    @Test
    void certaintyAgainstCertaintyIsStillAShare() {
        List<Choice> choices = Votes.counted(List.of(said(0, COAT, 1, BOOTS, 0), said(1, COAT, 0, BOOTS, 1)));
        assertThat(choices).allSatisfy(choice -> assertThat(choice.share()).isEqualTo(0.499, within(0.001)));
    }

    private static Map<Integer, Choice> said(int source, int one, double share, int other, double otherShare) {
        return Map.of(one, choice(one, source, share), other, choice(other, source, otherShare));
    }

    private static Choice choice(int label, int source, double share) {
        return new Choice(label, source, 0, share, 1, null);
    }
}
