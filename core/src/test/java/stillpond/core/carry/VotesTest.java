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

    @Test
    void sourcesThatContradictEachOtherMakeNothingSure() {
        List<Choice> choices = Votes.counted(List.of(said(0, COAT, 1, BOOTS, 0), said(1, COAT, 0, BOOTS, 1)));
        assertThat(choices).extracting(Choice::share).containsExactly(0.5, 0.5);
    }

    @Test
    void twoAgainstOneAreLikelierWithoutSilencingIt() {
        List<Choice> choices = Votes.counted(
                List.of(said(0, COAT, 0.0, BOOTS, 0.99), said(1, COAT, 0.99, BOOTS, 0), said(2, COAT, 0.99, BOOTS, 0)));
        assertThat(choices).extracting(Choice::label).containsExactly(COAT, BOOTS);
        assertThat(choices)
                .extracting(Choice::share)
                .satisfiesExactly(
                        coat -> assertThat(coat).isEqualTo(0.667, within(0.001)),
                        boots -> assertThat(boots).isEqualTo(0.33, within(0.001)));
    }

    @Test
    void aSourceThatIsNotConvincedHasNoVote() {
        List<Choice> choices = Votes.counted(List.of(said(0, COAT, 0.98, BOOTS, 0), said(1, COAT, 0.05, BOOTS, 0.2)));
        assertThat(choices.get(0).label()).isEqualTo(COAT);
        assertThat(choices.get(0).share()).isEqualTo(0.981, within(0.001));
    }

    private static Map<Integer, Choice> said(int source, int one, double share, int other, double otherShare) {
        return Map.of(one, choice(one, source, share), other, choice(other, source, otherShare));
    }

    private static Choice choice(int label, int source, double share) {
        return new Choice(label, source, 0, share, 1, null);
    }
}
