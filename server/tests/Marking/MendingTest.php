<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Marking;

use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;

/** A mended paper for work that is under way. */
final class MendingTest extends ApiCase
{
    private string $handout;

    protected function setUp(): void
    {
        parent::setUp();
        $this->handout = $this->world->handOut();
    }

    public function testAnswersStayWithTheirQuestionsAndTheStudentIsToldWhichHasChanged(): void
    {
        $sitting = $this->open('Ada Okafor');
        $this->save('Ada Okafor', $sitting, 'e-choice', ['options' => [$this->shown($sitting, 'a')]]);
        $this->save('Ada Okafor', $sitting, 'e-text', ['text' => 'SECRETROCK']);
        $this->reword('text', '<p>Which reef lies east of the pier?</p>');
        $this->publish();

        $preview = $this->as($this->world->teacher)->get('GET', "/handouts/$this->handout/mend");
        self::assertSame([1, 2, 1, 1, 0, []], array_map($preview->at(...), ['fromNumber', 'toNumber', 'atWork', 'touched', 'aside', 'refusals']));
        self::assertStringContainsString('another wording', $preview->text('differences.0.says'));
        self::assertSame([false, false], $this->mended($sitting), 'a preview changes nothing');

        $this->as($this->world->teacher)->get('POST', "/handouts/$this->handout/mend");
        self::assertSame([false, true], $this->mended($sitting));
        $step = $this->sitting($sitting)->list('steps')[1];
        self::assertSame('<p>Which reef lies east of the pier?</p>', $step->text('face.prompt'));
        self::assertSame('SECRETROCK', $step->text('value.text'));
        $this->save('Ada Okafor', $sitting, 'e-text', ['text' => 'Another reef'], 2);
        self::assertSame([false, false], $this->mended($sitting), 'answered anew');
        $this->as($this->world->teacher)->refused(409, 'POST', "/handouts/$this->handout/mend");
    }

    public function testAnEditionThatIsPutBackAsksWhatWasAnswered(): void
    {
        $sitting = $this->open('Ada Okafor');
        $this->save('Ada Okafor', $sitting, 'e-choice', ['options' => [$this->shown($sitting, 'a')]]);
        $this->save('Ada Okafor', $sitting, 'e-text', ['text' => 'SECRETROCK']);
        $first = $this->world->editionId;
        $this->reword('text', '<p>Which reef lies east of the pier?</p>');
        $second = $this->publish();
        $this->mend(null);
        self::assertSame([false, true], $this->mended($sitting));
        self::assertSame(0, $this->mend($first)->int('touched'), 'nobody has answered anything else');
        self::assertSame([false, false], $this->mended($sitting), 'it is the question that was answered');

        $this->mend($second);
        $this->save('Ada Okafor', $sitting, 'e-text', ['text' => 'Another reef'], 2);
        self::assertSame([false, false], $this->mended($sitting));
        self::assertSame(1, $this->mend($first)->int('touched'));
        self::assertSame([false, true], $this->mended($sitting), 'answered while it was the other');
        $this->reword('text', '<p>Which reef lies south of the pier?</p>');
        $this->publish();
        $this->mend(null);
        self::assertSame([false, true], $this->mended($sitting), 'and still another');
        $this->mend($second);
        self::assertSame([false, false], $this->mended($sitting));
    }

    public function testAnotherKeyMarksAnewWhatIsHandedInAndThePaperPutBackMarksItAsItWas(): void
    {
        $this->world->sit('Ada Okafor', $this->handout, ['e-text' => ['text' => 'Secret Cliff']]);
        $this->world->sit('Benoît Larsen', $this->handout, ['e-choice' => ['options' => ['a']]]);
        $this->edit('text', static fn (array $item): array => ['rule' => ['forms' => [
            ['text' => 'Secret Cliff', 'credit' => '1', 'feedback' => '', 'misconception' => null],
        ]]] + $item);
        $this->publish();
        $this->as($this->world->teacher);
        $marks = fn (): array => array_map(static fn (Json $r): mixed => $r->at('marks'), $this->get('GET', "/handouts/$this->handout/lookout")->list('rows'));

        self::assertEquals([0, 1, 0], $marks());
        $done = $this->get('POST', "/handouts/$this->handout/mend");
        self::assertSame([['Ada Okafor', '0', '2']], array_map(
            static fn (Json $e): array => [$e->text('student'), $e->text('before'), $e->text('after')],
            $done->list('effects'),
        ));
        self::assertEquals([2, 1, 0], $marks());
        $history = $this->get('GET', "/handouts/$this->handout/marking/e-text")->list('answers')[0]->list('history');
        self::assertSame(['mended paper', 'Teacher'], [$history[0]->text('kind'), $history[0]->text('by')]);

        $this->get('POST', "/handouts/$this->handout/mend", ['editionId' => $done->text('from')]);
        self::assertEquals([0, 1, 0], $marks());
    }

    public function testAnswersToWhatIsGoneAreKeptAsideAndComeBackWithIt(): void
    {
        $this->world->sit('Ada Okafor', $this->handout, ['e-text' => ['text' => 'Reef'], 'e-open' => ['text' => 'The moon pulls.']]);
        $sitting = $this->open('Benoît Larsen');
        $this->save('Benoît Larsen', $sitting, 'e-text', ['text' => 'Skerry']);
        self::assertSame(1, $this->waiting());
        $this->publish(['s1' => ['e-choice' => 'choice'], 's2' => ['e-number' => 'number']]);
        $done = $this->as($this->world->teacher)->get('POST', "/handouts/$this->handout/mend");
        self::assertSame(3, $done->int('aside'));
        self::assertSame(0, $this->waiting(), 'nobody waits for a mark of what is not asked');
        self::assertSame(['e-choice'], array_map(static fn (Json $s): string => $s->text('entry'), $this->sitting($sitting, 'Benoît Larsen')->list('steps')));
        $work = $this->as($this->world->teacher)->get('GET', "/sittings/$sitting");
        self::assertSame(['Skerry'], array_map(static fn (Json $a): string => $a->text('given'), $work->list('aside')));

        // What was typed before the device heard of it is kept too.
        $late = $this->save('Benoît Larsen', $sitting, 'e-text', ['text' => 'Skerry rock'], 5);
        self::assertSame('aside', $late->text('kept.0.fate'));

        $this->as($this->world->teacher)->get('POST', "/handouts/$this->handout/mend", ['editionId' => $done->text('from')]);
        self::assertSame(1, $this->waiting());
        $steps = $this->sitting($sitting, 'Benoît Larsen')->list('steps');
        self::assertSame(['e-choice', 'e-text'], array_map(static fn (Json $s): string => $s->text('entry'), $steps));
        self::assertSame('Skerry rock', $steps[1]->text('value.text'));
    }

    public function testAnotherQuestionInThePlaceOfOneThatWasAnsweredIsRefused(): void
    {
        $sitting = $this->open('Ada Okafor');
        $this->publish(['s1' => ['e-choice' => 'choice', 'e-text' => 'number'], 's2' => ['e-open' => 'open']]);
        self::assertSame([], $this->as($this->world->teacher)->get('GET', "/handouts/$this->handout/mend")->at('refusals'), 'nobody has answered it');
        $this->save('Ada Okafor', $sitting, 'e-text', ['text' => 'Skerry']);
        $preview = $this->as($this->world->teacher)->get('GET', "/handouts/$this->handout/mend");
        self::assertStringContainsString('another question stood', $preview->text('refusals.0'));
        $this->refused(409, 'POST', "/handouts/$this->handout/mend");
        self::assertSame('Skerry', $this->sitting($sitting)->text('steps.1.value.text'));
    }

    public function testWhoOnlyOpenedAHintHasNotAnswered(): void
    {
        $this->edit('text', static fn (array $item): array => ['hint' => '<p>Think.</p>'] + $item);
        $edition = $this->publish();
        $this->handout = $this->world->handOut([], $edition);
        $sitting = $this->open('Ada Okafor');
        $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/sittings/$sitting/hint", ['entry' => 'e-text', 'try' => 1, 'nth' => 1]);
        self::assertSame(1, count($this->tables->rows("SELECT 1 AS x FROM response WHERE entry = 'e-text'")));
        $this->publish(['s1' => ['e-choice' => 'choice', 'e-text' => 'number'], 's2' => ['e-open' => 'open']]);
        $preview = $this->as($this->world->teacher)->get('GET', "/handouts/$this->handout/mend");
        self::assertSame([0, []], [$preview->int('touched'), $preview->at('refusals')]);
    }

    public function testAClosedHandoutAndAnotherPapersEditionAreRefused(): void
    {
        $this->reword('open', '<p>Why?</p>');
        $this->publish();
        $other = $this->as($this->world->teacher)->get('POST', '/papers', ['paper' => ['title' => 'Other'] + $this->world->paperDocument()])->text('id');
        $edition = $this->get('POST', "/papers/$other/publish", ['version' => 1])->text('editionId');
        $this->refused(422, 'POST', "/handouts/$this->handout/mend", ['editionId' => $edition]);
        $this->get('POST', "/handouts/$this->handout/close");
        self::assertSame('This handout is closed.', $this->refused(409, 'POST', "/handouts/$this->handout/mend")->text('title'));
    }

    private function open(string $name): string
    {
        return $this->as($this->world->students[$name])->get('POST', "/me/handouts/$this->handout/open")->text('id');
    }

    /** @param array<string, mixed> $value */
    private function save(string $name, string $id, string $entry, array $value, int $counter = 1): Json
    {
        return $this->as($this->world->students[$name])->get(
            'PUT',
            "/me/sittings/$id/responses",
            ['saves' => [['entry' => $entry, 'try' => 1, 'value' => $value, 'counter' => $counter, 'clientId' => "x$counter"]], 'at' => $entry],
        );
    }

    /** @return list<bool> */
    private function mended(string $sitting): array
    {
        return array_map(static fn (Json $s): bool => $s->at('mended') === true, $this->sitting($sitting)->list('steps'));
    }

    private function sitting(string $id, string $name = 'Ada Okafor'): Json
    {
        return $this->as($this->world->students[$name])->get('GET', "/me/sittings/$id");
    }

    /** @param string|null $edition null for the latest */
    private function mend(?string $edition): Json
    {
        return $this->as($this->world->teacher)->get('POST', "/handouts/$this->handout/mend", ['editionId' => $edition]);
    }

    private function waiting(): int
    {
        return $this->as($this->world->teacher)->get('GET', "/handouts/$this->handout/lookout")->int('handout.waiting');
    }

    private function reword(string $type, string $prompt): void
    {
        $this->edit($type, static fn (array $item): array => ['prompt' => $prompt] + $item);
    }

    /** @param \Closure(array<string, mixed>): array<string, mixed> $change */
    private function edit(string $type, \Closure $change): void
    {
        $id = $this->world->items[$type];
        $now = $this->as($this->world->teacher)->get('GET', "/items/$id");
        $this->get('PUT', "/items/$id", ['item' => $change($this->world->itemDocuments()[$type]), 'version' => $now->int('version')]);
    }

    /** @param array<string, array<string, string>>|null $sections types of questions by entry, by section; null leaves the draft as it is */
    private function publish(?array $sections = null): string
    {
        $paper = $this->world->paperId;
        $version = $this->as($this->world->teacher)->get('GET', "/papers/$paper")->int('version');
        if ($sections !== null) {
            $written = [];
            foreach ($sections as $id => $entries) {
                $questions = [];
                foreach ($entries as $entry => $type) {
                    $questions[] = ['id' => $entry, 'kind' => 'question', 'item' => $this->world->items[$type], 'points' => '1'];
                }
                $written[] = ['id' => $id, 'title' => $id, 'route' => null, 'entries' => $questions];
            }
            $draft = ['paper' => ['sections' => $written] + $this->world->paperDocument(), 'version' => $version];
            $version = $this->get('PUT', "/papers/$paper", $draft)->int('version');
        }

        return $this->get('POST', "/papers/$paper/publish", ['version' => $version])->text('editionId');
    }
}
