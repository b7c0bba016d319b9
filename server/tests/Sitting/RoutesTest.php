<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Sitting;

use ChalkLadder\Server\Paper\Api\Input\PaperInput;
use ChalkLadder\Server\Paper\Api\Input\PublishInput;
use ChalkLadder\Server\Paper\Papers;
use ChalkLadder\Server\Roster\StudentAuthenticator;
use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;
use ChalkLadder\Server\Tests\Plan;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Routing\RouterInterface;

/** Routes, returns, orders and what is remembered between saves, as a student meets them. */
final class RoutesTest extends ApiCase
{
    private string $sitting;

    public function testTheRouteLeadsByWhatTheSectionEarned(): void
    {
        foreach ([
            ['a', 'SECRETROCK', ['e-choice', 'e-text', 'e-number', 'e-open']],
            ['b', 'SECRETROCK', ['e-choice', 'e-text', 'e-number', 'e-open']],
            ['b', 'reef', ['e-choice', 'e-text']],
        ] as $i => [$option, $text, $way]) {
            $this->begin(array_keys($this->world->students)[$i], ['below' => '1/2', 'then' => 'end', 'else' => 's2']);
            $this->save('e-choice', ['options' => [$this->shown($this->sitting, $option)]]);
            $this->save('e-text', ['text' => $text]);
            $view = $this->step('go-on', ['visit' => 1]);
            self::assertSame($way, $view->column('steps', 'entry'), "$option and $text");
            self::assertSame(count($way) === 2, $view->at('ended'));
        }
    }

    public function testMissedQuestionsComeBackAndEarnLess(): void
    {
        $this->begin('Ada Okafor', null, ['returns' => 2, 'credits' => ['1', '1/2', '1/4']]);
        $this->save('e-choice', ['options' => [$this->shown($this->sitting, 'b')]]);
        $this->save('e-text', ['text' => 'SECRETROCK']);
        $view = $this->step('go-on', ['visit' => 1]);
        self::assertSame([['e-choice', 1], ['e-text', 1], ['e-choice', 2]], self::steps($view), 'only what was missed');

        $this->save('e-choice', ['options' => [$this->shown($this->sitting, 'b')]], 2);
        self::assertSame(3, $this->step('go-on', ['visit' => 2])->int('visit'));
        $this->save('e-choice', ['options' => [$this->shown($this->sitting, 'a')]], 3);
        $view = $this->step('go-on', ['visit' => 3]);
        self::assertSame('Further out', $view->text('section'));
        $this->save('e-number', ['text' => '98.76 m']);
        self::assertTrue($this->step('go-on', ['visit' => 4])->at('ended'));
        $this->step('hand-in', ['visit' => 4]);
        self::assertEqualsWithDelta(
            4.5,
            $this->tables->row('SELECT marks FROM sitting')?->float('marks'),
            1e-9,
            'two for the text, two for the number, a quarter for the third try, rounded half up to the step of a half',
        );
    }

    public function testALoopAsksAllOfASectionAgainAsOftenAsItMayAndCountsEachQuestionOnce(): void
    {
        $this->begin('Ada Okafor', ['exits' => [['when' => 'share < 1', 'to' => 's1', 'rounds' => 2]], 'else' => 's2']);
        foreach ([1, 2] as $round) {
            $this->save('e-choice', ['options' => [$this->shown($this->sitting, 'b')]], $round);
            $this->save('e-text', ['text' => 'SECRETROCK'], $round);
            $view = $this->step('go-on', ['visit' => $round]);
            self::assertSame('First look', $view->text('section'));
            self::assertSame([['e-choice', $round + 1], ['e-text', $round + 1]], array_slice(self::steps($view), -2));
        }
        $this->save('e-choice', ['options' => [$this->shown($this->sitting, 'a')]], 3);
        $view = $this->step('go-on', ['visit' => 3]);
        self::assertSame('Further out', $view->text('section'), 'its rounds are spent, and it is left; half of it was right before');
        $this->save('e-number', ['text' => '98.76 m']);
        self::assertTrue($this->step('go-on', ['visit' => 4])->at('ended'));
        $this->step('hand-in', ['visit' => 4]);
        self::assertEqualsWithDelta(5.0, $this->tables->row('SELECT marks FROM sitting')?->float('marks'), 1e-9, '1 + 2 + 2, each once');
    }

    public function testAMendedKeyCallsBackWhatWasRightAllAlong(): void
    {
        $handout = $this->begin('Ada Okafor', null, ['returns' => 2, 'credits' => ['1', '1/2']]);
        $this->save('e-choice', ['options' => [$this->shown($this->sitting, 'a')]]);
        $this->save('e-text', ['text' => 'The Shelf']);
        self::assertSame(
            [['e-choice', 1], ['e-text', 1], ['e-text', 2]],
            self::steps($this->step('go-on', ['visit' => 1])),
            'under the wrong key',
        );

        $change = $this->as($this->world->teacher)->get(
            'POST',
            "/handouts/$handout/keys/e-text",
            ['accept' => ['text' => 'the shelf'], 'credit' => '1'],
        )->text('changeId');
        $view = $this->as($this->world->students['Ada Okafor'])->get('GET', "/me/sittings/$this->sitting");
        self::assertSame('Further out', $view->text('section'), 'the key has been mended, and there is nothing to come back to');
        self::assertSame([['e-choice', 1], ['e-text', 1], ['e-number', 1], ['e-open', 1]], self::steps($view));

        $this->save('e-number', ['text' => '98.76']);
        $this->as($this->world->teacher)->get('POST', "/key-changes/$change/undo");
        $view = $this->as($this->world->students['Ada Okafor'])->get('GET', "/me/sittings/$this->sitting");
        self::assertSame('Further out', $view->text('section'), 'whoever has gone on is not sent back');
        self::assertSame('98.76', $view->text('steps.2.value.text'));
    }

    public function testGoingOnTwiceGoesOnOnce(): void
    {
        $this->begin('Ada Okafor');
        self::assertSame(2, $this->step('go-on', ['visit' => 1])->int('visit'));
        self::assertSame(2, $this->step('go-on', ['visit' => 1])->int('visit'), 'a repeated click is harmless');
        $this->step('hand-in', ['visit' => 2]);
        self::assertSame('handed in', $this->step('hand-in', ['visit' => 2])->text('state'));
        self::assertSame('handed in', $this->step('go-on', ['visit' => 2])->text('state'), 'handed in stays handed in');
    }

    public function testHandingInBeforeTheEndIsRefused(): void
    {
        $this->begin('Ada Okafor');
        self::assertSame(
            'There is more to do.',
            $this->refused(409, 'POST', "/me/sittings/$this->sitting/hand-in", ['visit' => 1])->text('title'),
        );
    }

    public function testShuffledOrderIsEachStudentsOwnAndStays(): void
    {
        $handout = $this->world->handOut(['shuffleQuestions' => true, 'shuffleOptions' => true]);
        $orders = [];
        foreach ($this->world->students as $student) {
            $first = $this->as($student)->get('POST', "/me/handouts/$handout/open");
            $again = $this->get('GET', '/me/sittings/'.$first->text('id'));
            self::assertSame($first->column('steps', 'entry'), $again->column('steps', 'entry'));
            self::assertSame(self::options($first), self::options($again));
            self::assertEqualsCanonicalizing(
                [$this->shown($first->text('id'), 'a'), $this->shown($first->text('id'), 'b')],
                self::options($first),
            );
            self::assertEqualsCanonicalizing(['e-choice', 'e-text'], $first->column('steps', 'entry'));
            $orders[] = $first->column('steps', 'entry');
        }
        self::assertCount(3, $orders);
    }

    public function testASettledAnswerChangesNoMore(): void
    {
        $handout = $this->world->handOut(['feedback' => Plan::AT_ONCE]);
        $this->sitting = $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/handouts/$handout/open")->text('id');
        $this->save('e-choice', ['options' => [$this->shown($this->sitting, 'b')]]);
        $this->step('settle', ['entry' => 'e-choice', 'try' => 1]);
        self::assertSame('older', $this->save('e-choice', ['options' => [$this->shown($this->sitting, 'a')]], counter: 2));
        self::assertSame(
            [$this->shown($this->sitting, 'b')],
            $this->get('GET', "/me/sittings/$this->sitting")->at('steps.0.value.options'),
        );
    }

    public function testHintsAreShownStepByStepOnceAskedForAndRemembered(): void
    {
        $this->begin('Ada Okafor');
        $hints = fn (): mixed => $this->get('GET', "/me/sittings/$this->sitting")->at('steps.0.hints');
        $ask = fn (int $nth) => $this->step('hint', ['entry' => 'e-choice', 'try' => 1, 'nth' => $nth]);
        self::assertSame([], $hints());
        self::assertSame(['0', '0.5'], $this->get('GET', "/me/sittings/$this->sitting")->at('steps.0.face.hints'), 'what each would cost');
        $ask(2);
        self::assertSame([], $hints(), 'none before its turn');
        $ask(1);
        $ask(1);
        self::assertSame(['<p>A hint</p>'], $hints(), 'asked twice, opened once');
        self::assertSame('kept', $this->save('e-choice', ['options' => [$this->shown($this->sitting, 'a')]]));
        self::assertSame(['<p>A hint</p>'], $hints(), 'answering does not close it');
        $ask(2);
        $ask(3);
        self::assertSame(['<p>A hint</p>', '<p>SECRET further hint</p>'], $hints());
        self::assertSame('0.5', $this->get('GET', "/me/sittings/$this->sitting")->at('steps.0.hintsCost'));
    }

    public function testWhatAHintCostsIsTakenOffTheMarksEverywhere(): void
    {
        $handout = $this->world->handOut(['feedback' => Plan::AFTER_HAND_IN]);
        $this->sitting = $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/handouts/$handout/open")->text('id');
        foreach ([1, 2] as $nth) {
            $this->step('hint', ['entry' => 'e-choice', 'try' => 1, 'nth' => $nth]);
        }
        $this->save('e-choice', ['options' => [$this->shown($this->sitting, 'a')]]);
        $this->step('go-on', ['visit' => 1]);
        $this->step('hand-in', ['visit' => 2]);
        $step = $this->get('GET', "/me/sittings/$this->sitting");
        self::assertSame('right', $step->at('steps.0.told.verdict'));
        self::assertSame('0.5', $step->at('steps.0.told.marks'));

        $this->as($this->world->lead);
        $marks = $this->get('GET', "/handouts/$handout/lookout")->column('rows', 'marks');
        self::assertContains(0.5, $marks, 'the Lookout');
        self::assertSame('0.5', $this->get('GET', "/handouts/$handout/marking/e-choice")->at('answers.0.hintsCost'), 'the marking desk');
        self::assertStringContainsString(',1,0.5,1,machine,', (string) $this->ask('GET', "/handouts/$handout/responses.csv")->getContent(), 'the export');
    }

    public function testWorkingIsKeptBesideTheAnswerAndSeenByMarkers(): void
    {
        $handout = $this->world->handOut(['feedback' => Plan::AFTER_HAND_IN]);
        $this->sitting = $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/handouts/$handout/open")->text('id');
        $working = ['strokes' => [['tool' => 'pen', 'colour' => 0, 'width' => 4, 'at' => 0, 'points' => '1 2 0 3 4 5']], 'files' => [], 'text' => 'so 3'];
        $save = fn (string $entry, int $counter, mixed $shown): mixed => $this->get('PUT', "/me/sittings/$this->sitting/responses", ['saves' => [[
            'entry' => $entry, 'try' => 1, 'counter' => $counter, 'clientId' => "$entry$counter",
            'value' => $entry === 'e-choice' ? ['options' => [$this->shown($this->sitting, 'a')]] : ['text' => 'reef'],
        ] + ($shown === null ? [] : ['working' => $shown])]])->at('kept.0.fate');
        self::assertSame('kept', $save('e-choice', 1, $working));
        self::assertSame('kept', $save('e-choice', 2, null));
        self::assertSame('kept', $save('e-text', 1, $working));
        $steps = $this->get('GET', "/me/sittings/$this->sitting");
        self::assertSame('so 3', $steps->at('steps.0.working.text'), 'an answer without it leaves it');
        self::assertNull($steps->at('steps.1.working'), 'this question asks for none');
        $refused = ['saves' => [['entry' => 'e-choice', 'try' => 1, 'counter' => 3, 'clientId' => 'x', 'value' => ['options' => []]]]];
        $refused['saves'][0]['working'] = ['text' => 'a word'];
        $this->refused(422, 'PUT', "/me/sittings/$this->sitting/responses", $refused);
        $refused['saves'][0]['working'] = ['files' => ['01900000-0000-7000-8000-000000000001']] + $working;
        $this->refused(422, 'PUT', "/me/sittings/$this->sitting/responses", $refused);
        $this->step('go-on', ['visit' => 1]);
        $this->step('hand-in', ['visit' => 2]);
        $this->as($this->world->lead);
        self::assertSame('so 3', $this->get('GET', "/handouts/$handout/marking/e-choice")->at('answers.0.working.text'));
        self::assertSame('so 3', $this->get('GET', "/sittings/$this->sitting")->at('answers.0.working.text'));
    }

    public function testAKeyThatChangesBetweenTwoSavesHoldsForTheNext(): void
    {
        $handout = $this->begin('Ada Okafor');
        $this->save('e-text', ['text' => 'harbour reef']);
        self::assertSame('wrong', $this->verdict());
        $this->as($this->world->teacher)->get('POST', "/handouts/$handout/keys/e-text", ['accept' => ['text' => 'harbour reef']]);
        $this->as($this->world->students['Ada Okafor']);
        self::assertSame('kept', $this->save('e-text', ['text' => 'Harbour  Reef'], counter: 2));
        self::assertSame('right', $this->verdict(), 'what was remembered of the key is not used');
    }

    public function testHidingTheHandoutEndsSavingAtOnce(): void
    {
        $handout = $this->begin('Ada Okafor');
        $this->save('e-text', ['text' => 'one']);
        $this->tables->run('UPDATE handout SET visible = false WHERE id = :id', ['id' => $handout]);
        $this->refused(404, 'PUT', "/me/sittings/$this->sitting/responses", $this->body('e-text', ['text' => 'two'], 1, 2));
        self::assertSame('{"text": "one"}', $this->tables->row('SELECT value FROM response')?->text('value'));
        $this->tables->run('UPDATE handout SET visible = true WHERE id = :id', ['id' => $handout]);
        self::assertSame('kept', $this->save('e-text', ['text' => 'two'], counter: 2));
    }

    public function testAnotherStudentDoesNotSaveByWhatIsRemembered(): void
    {
        $this->begin('Ada Okafor');
        $this->save('e-text', ['text' => 'one']);
        $this->as($this->world->students['Benoît Larsen'])->refused(
            404,
            'PUT',
            "/me/sittings/$this->sitting/responses",
            $this->body('e-text', ['text' => 'two'], 1, 2),
        );
    }

    /** @return iterable<string, array{0: string, 1?: int}> */
    public static function endsOfBeingSignedIn(): iterable
    {
        yield 'the session was ended elsewhere' => ['DELETE FROM session'];
        yield 'it is past its end' => ["UPDATE session SET expires_at = now() - interval '1 second'"];
        yield 'it was not used for long' => ["UPDATE session SET seen_at = now() - interval '31 days'"];
        yield 'it is another student’s' => ["UPDATE session SET student_id = (SELECT id FROM student WHERE name = 'Benoît Larsen')", 404];
        yield 'the student has left' => ["UPDATE class_member SET left_at = now()
            WHERE student_id = (SELECT id FROM student WHERE name = 'Ada Okafor')"];
    }

    #[DataProvider('endsOfBeingSignedIn')]
    public function testWhoIsNotSignedInAnyMoreDoesNotSaveByWhatIsRemembered(string $end, int $status = 401): void
    {
        $this->begin('Ada Okafor');
        $this->save('e-text', ['text' => 'one']);
        self::assertSame('kept', $this->save('e-text', ['text' => 'two'], counter: 2), 'whose session it is comes from memory');
        $this->tables->run($end);
        foreach (['by memory', 'without it'] as $_) {
            $body = $this->body('e-text', ['text' => 'three'], 1, 3);
            $this->refused($status, 'PUT', "/me/sittings/$this->sitting/responses", $body);
        }
        self::assertSame('{"text": "two"}', $this->tables->row('SELECT value FROM response')?->text('value'));
    }

    public function testWhoseSessionItIsComesFromMemoryWhereTheWritingProvesItAndNowhereElse(): void
    {
        $proving = [];
        foreach (self::service(RouterInterface::class)->getRouteCollection() as $route) {
            if ($route->hasDefault(StudentAuthenticator::PROVES_ITSELF)) {
                $proving[] = implode('|', $route->getMethods()).' '.$route->getPath();
            }
        }
        self::assertSame(['PUT /api/me/sittings/{id}/responses'], $proving);
    }

    /**
     * @param array<string, mixed>|null $route
     * @param array<string, mixed>|null $mastery
     */
    private function begin(string $name, ?array $route = null, ?array $mastery = null): string
    {
        $papers = $this->world->get(Papers::class);
        $paper = $papers->create($this->world->lead, new PaperInput($this->world->paperDocument($route, $mastery)));
        $handout = $this->world->handOut(
            [],
            $papers->publish($this->world->lead, $paper->id, new PublishInput($paper->version))->editionId,
        );
        $this->sitting = $this->as($this->world->students[$name])->get('POST', "/me/handouts/$handout/open")->text('id');

        return $handout;
    }

    /** @param array<string, mixed> $value */
    private function save(string $entry, array $value, int $try = 1, int $counter = 1): mixed
    {
        return $this->get('PUT', "/me/sittings/$this->sitting/responses", $this->body($entry, $value, $try, $counter))->at('kept.0.fate');
    }

    /**
     * @param array<string, mixed> $value
     *
     * @return array<string, mixed>
     */
    private function body(string $entry, array $value, int $try, int $counter): array
    {
        return ['saves' => [['entry' => $entry, 'try' => $try, 'value' => $value, 'counter' => $counter, 'clientId' => "c$counter"]]];
    }

    /** @param array<string, mixed> $body */
    private function step(string $act, array $body): Json
    {
        return $this->get('POST', "/me/sittings/$this->sitting/$act", $body);
    }

    private function verdict(): string
    {
        return $this->tables->row("SELECT verdict FROM response WHERE entry = 'e-text'")?->text('verdict') ?? '';
    }

    /** @return list<array{mixed, mixed}> */
    private static function steps(Json $view): array
    {
        return array_map(static fn (Json $s): array => [$s->at('entry'), $s->at('try')], $view->list('steps'));
    }

    /** @return list<mixed> */
    private static function options(Json $view): array
    {
        foreach ($view->list('steps') as $step) {
            if ($step->at('entry') === 'e-choice') {
                return $step->column('face.options', 'id');
            }
        }
        self::fail('There is a choice in the first section.');
    }
}
