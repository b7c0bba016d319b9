<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Item\Passage;

use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Item\Notation\Names;
use ChalkLadder\Core\Item\Notation\NoteReader;
use ChalkLadder\Core\Item\Notation\NoteWriter;
use ChalkLadder\Core\Item\Passage\Candidate;
use ChalkLadder\Core\Item\Passage\Passage;
use ChalkLadder\Core\Item\Passage\Reader;
use ChalkLadder\Core\Item\Passage\Sentence;
use ChalkLadder\Core\Item\ResponseReader;
use PHPUnit\Framework\TestCase;

final class ReaderTest extends TestCase
{
    private const LOG = '<p>Off Kelpwick bar at 05:20 with the stream running out. Sounded 2.2 m on the bar and she wants 3.1 m, so we waited.</p>'
        .'<p>At 07:45 the flood carried us over the bar, and by 09:10 the Brindle lay at Gannet Pier. High water only 3.9 m today, says Mr. Tamsin.</p>'
        .'<p>Later the wind rose in the north. Then Old Petra of the Lapwing came in and lay beside the Brindle. Finally the bar dried.</p>';

    public function testSentencesKeepTheirPlacesAndNamesAreThoseOfThePassage(): void
    {
        $passage = Passage::read(self::LOG.'<ol data-lines="1"><li><p>A dry bar.</p></li><li>The pier at No. 4 stands. It is old.</li></ol>');

        self::assertSame(
            ['paragraph 1', 'paragraph 1', 'paragraph 2', 'paragraph 2', 'paragraph 3', 'paragraph 3', 'paragraph 3', 'line 1', 'line 2', 'line 2'],
            array_map(static fn (Sentence $s): string => $s->place, $passage->sentences),
        );
        self::assertSame('High water only 3.9 m today, says Mr. Tamsin.', $passage->sentences[3]->text);
        self::assertSame('The pier at No. 4 stands.', $passage->sentences[8]->text);
        self::assertSame(['Kelpwick', 'Brindle', 'Gannet Pier', 'Mr', 'Old Petra', 'Lapwing', 'No'], $passage->names);
        self::assertSame('bar', array_key_first($passage->words));
    }

    public function testANumberIsAskedForWithTheOthersOfItsUnitAsWrongAnswers(): void
    {
        $asked = self::by('a number with its unit, left out');
        self::assertSame(
            '<p>Which number belongs in the gap?</p><p>“Sounded ____ m on the bar and she wants 3.1 m, so we waited.”</p>',
            $asked[1]->document['prompt'],
        );
        self::assertSame(['right', 'wrong', 'wrong'], self::verdicts($asked[1], [['text' => '2.2 m'], ['text' => '3.1'], ['text' => '3.9 m']]));
        self::assertSame(['right', 'right', 'wrong'], self::verdicts($asked[0], [['text' => '05:20'], ['text' => '5:20'], ['text' => '07:45']]));
    }

    public function testANameIsToldFromTheOthersThatAreNotInItsSentence(): void
    {
        $asked = self::by('who did what: a name left out');
        $first = ItemTemplate::read($asked[0]->document)->sample();
        self::assertSame('Kelpwick', strip_tags($first->rule->key()));
        foreach ($asked as $candidate) {
            self::assertStringContainsString('____', self::prompt($candidate));
            foreach (self::options($candidate) as [$text, $key]) {
                self::assertSame($key, str_contains($candidate->from->text, $text), 'only the key stands in the sentence');
            }
        }
    }

    public function testOneWordIsChangedAndTheTrueSentenceIsTheKey(): void
    {
        foreach (self::by('one word changed: which sentence does the passage say?') as $candidate) {
            $options = self::options($candidate);
            self::assertCount(1, array_filter($options, static fn (array $o): bool => $o[1]));
            self::assertGreaterThanOrEqual(3, count($options));
            foreach ($options as [$text, $key]) {
                self::assertSame($key, $text === $candidate->from->text);
                $different = array_diff(explode(' ', $text), explode(' ', $candidate->from->text));
                self::assertLessThanOrEqual(2, count($different), $text);
            }
        }
    }

    public function testEventsStandInTheirOrderWithoutWhatGivesItAway(): void
    {
        $events = static fn (Candidate $c): string => strip_tags((string) json_encode($c->document['rule'], JSON_UNESCAPED_UNICODE));
        [$told] = self::by('the order of events');
        self::assertMatchesRegularExpression('/High water.*The wind rose.*Old Petra.*The bar dried/', $events($told));
        self::assertStringNotContainsString('Finally', $events($told));
        $timed = Reader::candidates('<p>At 05:20 we left. We saw the light at 06:10 at last. The tide turned at 07:00.</p>');
        $order = array_values(array_filter($timed, static fn (Candidate $c): bool => $c->by === 'the order of events'));
        self::assertMatchesRegularExpression('/We left.*We saw the light at last.*The tide turned/', $events($order[0]));
        self::assertStringNotContainsString(':10', $events($order[0]));
    }

    public function testGapsAreMadeInSentencesThatThePassageComesBackTo(): void
    {
        $gaps = self::by('gaps in a key sentence');
        self::assertNotSame([], $gaps);
        foreach ($gaps as $candidate) {
            self::assertLessThanOrEqual(3, substr_count((string) json_encode($candidate->document['rule']), '"weight"'));
        }
    }

    public function testEveryCandidateIsAQuestionAndIsTheSameAfterItsNotes(): void
    {
        $names = new Names([], []);
        foreach (Reader::candidates(self::LOG) as $candidate) {
            $item = ItemTemplate::read($candidate->document);
            $again = NoteReader::read(NoteWriter::write($item->toArray(), $names), $names);
            self::assertCount(1, $again);
            self::assertSame([], $again[0]->faults, $candidate->by);
            self::assertSame([], array_filter($item->withPoints($item->sample()->points)->defects(), static fn ($d): bool => $d->blocks));
        }
    }

    public function testOtherScriptsBrokenMarkupAndEmptinessEndInNothingWorse(): void
    {
        foreach (['', '<p></p>', '潮が満ちる。港は静かだ。', '<p>Прилив начинается утром у маяка</p>', '<p <ol data-lines><li>', "\xff\xfe", str_repeat('Aa bb. ', 5000)] as $html) {
            foreach (Reader::candidates($html) as $candidate) {
                ItemTemplate::read($candidate->document);
            }
        }
        self::assertSame([], Reader::candidates('<p>潮が満ちる。港は静かだ。</p>'));
    }

    /** @return list<Candidate> */
    private static function by(string $rule): array
    {
        return array_values(array_filter(Reader::candidates(self::LOG), static fn (Candidate $c): bool => $c->by === $rule));
    }

    /**
     * @param list<array<string, mixed>> $responses
     *
     * @return list<string>
     */
    private static function verdicts(Candidate $candidate, array $responses): array
    {
        $item = ItemTemplate::read($candidate->document)->sample();

        return array_map(static fn (array $r): string => $item->check(ResponseReader::fromArray($r))->verdict->value, $responses);
    }

    /** @return list<array{string, bool}> */
    private static function options(Candidate $candidate): array
    {
        return array_map(
            static fn ($o): array => [html_entity_decode(strip_tags($o->text), ENT_QUOTES), $o->key],
            ItemTemplate::read($candidate->document)->sample()->rule->alternatives(),
        );
    }

    private static function prompt(Candidate $candidate): string
    {
        return is_string($candidate->document['prompt']) ? $candidate->document['prompt'] : '';
    }
}
