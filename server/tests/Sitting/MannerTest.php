<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Sitting;

use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;

/** How long an answer took and how sure its student was: from the device to the results. */
final class MannerTest extends ApiCase
{
    public function testTimeAndConfidenceComeBackToTheStudentsOtherDevice(): void
    {
        $id = $this->open('Ada Okafor', $this->world->handOut());
        $this->save($id, 'e-choice', ['options' => [$this->shown($id, 'b')]], 1, 4200, 3);
        $step = $this->get('GET', "/me/sittings/$id")->list('steps')[0];
        self::assertSame([true, 4200, 3], [$step->at('face.asksConfidence'), $step->int('millis'), $step->int('confidence')]);
        self::assertSame(
            [false, 0, null],
            [
                $this->get('GET', "/me/sittings/$id")->at('steps.1.face.asksConfidence'),
                $this->get('GET', "/me/sittings/$id")->at('steps.1.millis'),
                $this->get('GET', "/me/sittings/$id")->at('steps.1.confidence'),
            ],
        );

        // Another device that knows less time and no confidence takes nothing away; an older save changes nothing.
        $this->save($id, 'e-choice', ['options' => [$this->shown($id, 'a')]], 2, 900, null);
        $this->save($id, 'e-choice', ['options' => [$this->shown($id, 'b')]], 1, 99_000, 1);
        $step = $this->get('GET', "/me/sittings/$id")->list('steps')[0];
        self::assertSame([[$this->shown($id, 'a')], 4200, 3], [$step->at('value.options'), $step->int('millis'), $step->int('confidence')]);
    }

    public function testBothAreKeptWhereASaveHasToBeLookedAtTwice(): void
    {
        $id = $this->open('Ada Okafor', $this->world->handOut());
        // Two saves of one question in one message are no usual case, so each is written by itself.
        $this->get('PUT', "/me/sittings/$id/responses", ['saves' => [
            [
                'entry' => 'e-choice',
                'try' => 1,
                'value' => ['options' => [$this->shown($id, 'a')]],
                'counter' => 1,
                'clientId' => 'x',
                'millis' => 3000,
                'confidence' => 1,
            ],
            [
                'entry' => 'e-choice',
                'try' => 1,
                'value' => ['options' => [$this->shown($id, 'b')]],
                'counter' => 2,
                'clientId' => 'y',
                'millis' => 5000,
                'confidence' => 2,
            ],
        ]]);
        $step = $this->get('GET', "/me/sittings/$id")->list('steps')[0];
        self::assertSame([[$this->shown($id, 'b')], 5000, 2], [$step->at('value.options'), $step->int('millis'), $step->int('confidence')]);
    }

    public function testNoTimeIsBelievedThatCannotBe(): void
    {
        $id = $this->open('Ada Okafor', $this->world->handOut());
        foreach (['millis' => [-1, 86_400_001, 1.5, '9'], 'confidence' => [0, 4, 'sure', true]] as $key => $values) {
            foreach ($values as $value) {
                $fields = $this->refused(
                    422,
                    'PUT',
                    "/me/sittings/$id/responses",
                    ['saves' => [[
                        'entry' => 'e-text',
                        'try' => 1,
                        'value' => ['text' => 'reef'],
                        'counter' => 1,
                        'clientId' => 'x',
                        $key => $value,
                    ]]],
                )->map('fields');
                self::assertSame(["saves.0.$key"], array_keys($fields));
            }
        }
        self::assertNull($this->tables->row('SELECT 1 FROM response'));
    }

    public function testResultsSayHowLongItTookAndWhetherTheSureWereRight(): void
    {
        $handout = $this->world->handOut(['attempts' => 2, 'counts' => 'latest']);
        foreach ([
            'Ada Okafor' => ['b', 30_000, 3],
            'Benoît Larsen' => ['a', 20_000, 3],
            'Cleo Marsh' => ['a', 1_000, 1],
        ] as $name => [$option, $millis, $confidence]) {
            $id = $this->open($name, $handout);
            $this->save($id, 'e-choice', ['options' => [$this->shown($id, $option)]], 1, $millis, $confidence);
            $this->save($id, 'e-text', ['text' => 'SECRETROCK'], 1, null, null);
            $this->get('POST', "/me/sittings/$id/go-on", ['visit' => 1]);
            $this->get('POST', "/me/sittings/$id/hand-in", ['visit' => 2]);
        }
        $results = $this->as($this->world->teacher)->get('GET', "/handouts/$handout/results");

        self::assertSame(
            [20.0, 3, 'few'],
            [
                $results->at('questions.0.medianTime.value'),
                $results->at('questions.0.medianTime.n'),
                $results->at('questions.0.medianTime.note'),
            ],
        );
        self::assertSame(
            [null, 'No times are known.'],
            [$results->at('questions.1.medianTime.value'), $results->at('questions.1.medianTime.note')],
        );
        self::assertEquals(
            [[1, 1.0, 1], [3, 0.5, 2]],
            array_map(
                static fn (Json $s): array => [$s->int('level'), $s->at('credit.value'), $s->int('credit.n')],
                $results->list('questions.0.confidence'),
            ),
        );
        self::assertSame([0.5, 2], [$results->at('questions.0.sureAndWrong.value'), $results->at('questions.0.sureAndWrong.n')]);
        self::assertSame(
            [[], null],
            [$results->at('questions.1.confidence'), $results->at('questions.1.sureAndWrong')],
            'it was not asked there',
        );
        self::assertEquals([1.0, 1], [$results->at('students.2.rushed.value'), $results->at('students.2.rushed.n')]);
        self::assertSame([null, null, null], $results->column('students', 'manner'), 'one quick answer may be a slip of the finger');
        self::assertSame([1.5, 1], [$results->at('students.0.pace.value'), $results->at('students.0.pace.n')]);
        self::assertEquals(
            [[1.0, 1], [0.0, 1], [null, 0]],
            array_map(static fn (Json $s): array => [$s->at('sureAndWrong.value'), $s->int('sureAndWrong.n')], $results->list('students')),
        );

        $csv = (string) $this->ask('GET', "/handouts/$handout/responses.csv")->getContent();
        self::assertMatchesRegularExpression('/,"Ada Okafor",.*,30\.0,3,0\r$/m', $csv);
        self::assertMatchesRegularExpression('/,"Cleo Marsh",1,yes,2,.*,,,0\r$/m', $csv);
        $sitting = $results->text('students.0.sittingId');
        $answer = $this->get('GET', "/sittings/$sitting")->list('answers')[0];
        self::assertSame([30.0, 3], [$answer->at('seconds'), $answer->at('confidence')]);
    }

    private function open(string $name, string $handout): string
    {
        return $this->as($this->world->students[$name])->get('POST', "/me/handouts/$handout/open")->text('id');
    }

    /** @param array<string, mixed> $value */
    private function save(string $id, string $entry, array $value, int $counter, ?int $millis, ?int $confidence): void
    {
        $this->get(
            'PUT',
            "/me/sittings/$id/responses",
            ['saves' => [[
                'entry' => $entry,
                'try' => 1,
                'value' => $value,
                'counter' => $counter,
                'clientId' => "c$counter",
                'millis' => $millis,
                'confidence' => $confidence,
            ]]],
        );
    }
}
