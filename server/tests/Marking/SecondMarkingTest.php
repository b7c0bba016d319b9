<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Marking;

use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;

/** Marking once more without seeing the first mark, and what the two together say. */
final class SecondMarkingTest extends ApiCase
{
    private string $handout;

    /** @var array<string, string> sitting by student */
    private array $sittings = [];

    protected function setUp(): void
    {
        parent::setUp();
        $this->handout = $this->world->handOut();
        foreach (array_keys($this->world->students) as $name) {
            $this->sittings[$name] = $this->world->sit($name, $this->handout, ['e-open' => ['text' => "$name says: the moon."]]);
        }
    }

    public function testTheSecondMarkerSeesTheAnswersOthersHaveMarkedButNotHow(): void
    {
        $this->as($this->world->marker);
        $this->first('Ada Okafor', 1, 'Name the sun too.');
        $this->as($this->world->teacher);
        $this->first('Benoît Larsen', 0);
        $desk = $this->get('GET', "/handouts/$this->handout/marking/e-open?second=1");

        self::assertTrue($desk->at('second'));
        self::assertSame(['Ada Okafor'], $desk->column('answers', 'student'), 'neither one’s own marks nor what nobody has marked');
        self::assertSame(
            ['by hand', null, false, null, ''],
            array_map(static fn (string $k): mixed => $desk->at("answers.0.$k"), ['verdict', 'credit', 'byHand', 'levels', 'comment']),
        );
        self::assertStringNotContainsString('Name the sun', (string) json_encode($desk->at('')));
        self::assertSame([], $desk->at('shelf'));
        self::assertSame(
            ['Student'],
            array_unique(array_map(
                static fn (mixed $s): string => substr(is_string($s) ? $s : '', 0, 7),
                $this->as($this->world->marker)->get(
                    'GET',
                    "/handouts/$this->handout/marking/e-open?second=1",
                )->column('answers', 'student'),
            )),
            'a marker is told no names here either',
        );
    }

    public function testASecondMarkChangesNoMarkAndMayBeChanged(): void
    {
        $this->as($this->world->marker);
        $this->first('Ada Okafor', 1);
        $this->as($this->world->teacher);
        $before = $this->get('GET', "/handouts/$this->handout/marking/e-open")->at('answers.0');
        $this->second('Ada Okafor', 0);
        $this->second('Ada Okafor', 1);
        $this->second('Ada Okafor', 0);

        self::assertEquals($before, $this->get('GET', "/handouts/$this->handout/marking/e-open")->at('answers.0'));
        self::assertSame(
            [[0], true],
            [
                $this->get('GET', "/handouts/$this->handout/marking/e-open?second=1")->at('answers.0.levels'),
                $this->get('GET', "/handouts/$this->handout/marking/e-open?second=1")->at('answers.0.byHand'),
            ],
        );
        self::assertSame(1, $this->markers()->int('answers'));
    }

    public function testAgreementStaysWhatItWasWhenOneMarkIsLetCount(): void
    {
        $this->as($this->world->marker);
        foreach (['Ada Okafor' => 1, 'Benoît Larsen' => 0, 'Cleo Marsh' => 1] as $name => $level) {
            $this->first($name, $level, 'Read line 4.');
        }
        $this->as($this->world->teacher);
        foreach (['Ada Okafor' => 1, 'Benoît Larsen' => 1, 'Cleo Marsh' => 1] as $name => $level) {
            $this->second($name, $level);
        }
        $told = fn (): array => [
            $this->markers()->at('criteria.0.exact.value'),
            $this->markers()->at('criteria.0.exact.n'),
            array_map(
                static fn (Json $s): array => [
                    $s->text('marker'),
                    round((float) (is_numeric($v = $s->at('severity.value')) ? $v : NAN), 6),
                ],
                $this->markers()->list('criteria.0.severity'),
            ),
        ];
        $before = $told();
        self::assertEquals([2 / 3, 3, [['Marker', -0.666667], ['Teacher', 0.666667]]], $before, 'levels are worth 0 and 2');
        $apart = $this->markers()->list('apart')[0];
        self::assertSame(
            ['Benoît Larsen', [0], [['Marker', [0]], ['Teacher', [1]]], 'Read line 4.'],
            [
                $apart->text('student'),
                $apart->at('now'),
                array_map(static fn (Json $m): array => [$m->text('marker'), $m->at('levels')], $apart->list('marks')),
                $apart->text('comment'),
            ],
        );
        self::assertSame([['name' => 'Cause', 'points' => ['0', '2']]], $this->markers()->at('rubric'));

        $this->get(
            'PUT',
            '/marks',
            [
                'sittingId' => $apart->text('sittingId'),
                'entry' => 'e-open',
                'try' => 1,
                'levels' => [1],
                'comment' => $apart->text('comment'),
                'markVersion' => $apart->int('markVersion'),
            ],
        );
        self::assertEquals($before, $told(), 'settling is no agreement');
        self::assertSame([1], $this->markers()->at('apart.0.now'));
        self::assertSame('Read line 4.', $this->get('GET', "/handouts/$this->handout/marking/e-open")->text('answers.1.comment'));
        // Who settled it can still be asked for a second mark of the same answer, since theirs was given before.
        $this->second('Benoît Larsen', 1);
    }

    public function testWhatIsNoSecondMarkIsRefused(): void
    {
        $this->as($this->world->teacher);
        self::assertSame('This answer has no first mark.', $this->again(409, 'Ada Okafor', [1])->text('title'));
        $this->first('Ada Okafor', 1);
        self::assertSame('You have marked this answer yourself.', $this->again(409, 'Ada Okafor', [1])->text('title'));
        $this->as($this->world->marker);
        foreach ([[], [2], [-1], ['x'], [null]] as $levels) {
            self::assertSame(
                ['levels'],
                array_map(
                    static fn (string $f): string => substr($f, 0, 6),
                    array_keys($this->again(422, 'Ada Okafor', $levels)->map('fields')),
                ),
            );
        }
        $this->refused(
            404,
            'PUT',
            '/second-marks',
            ['sittingId' => $this->sittings['Ada Okafor'], 'entry' => 'e-choice', 'try' => 1, 'levels' => [0]],
        );
        $this->refused(
            404,
            'PUT',
            '/second-marks',
            ['sittingId' => $this->sittings['Ada Okafor'], 'entry' => 'e-open', 'try' => 2, 'levels' => [0]],
        );
        $this->refused(404, 'GET', "/handouts/$this->handout/marking/e-choice?second=1");
        $this->as($this->world->stranger);
        $this->again(404, 'Ada Okafor', [1]);
        self::assertNull($this->tables->row('SELECT 1 FROM moderation_mark'));
    }

    public function testAQuestionNobodyMarkedTwiceSaysSo(): void
    {
        $question = $this->as($this->world->teacher)->markers();
        self::assertSame([0, [], []], [$question->int('answers'), $question->at('markers'), $question->at('apart')]);
        self::assertSame(
            [null, 'No unit has two marks.'],
            [$question->at('criteria.0.exact.value'), $question->at('criteria.0.exact.note')],
        );
        self::assertCount(1, $this->get('GET', "/handouts/$this->handout/results/markers")->list('questions'), 'open questions alone');
    }

    private function first(string $student, int $level, string $comment = ''): void
    {
        $this->get(
            'PUT',
            '/marks',
            [
                'sittingId' => $this->sittings[$student],
                'entry' => 'e-open',
                'try' => 1,
                'levels' => [$level],
                'comment' => $comment,
                'markVersion' => 0,
            ],
        );
    }

    private function second(string $student, int $level): void
    {
        $this->get(
            'PUT',
            '/second-marks',
            ['sittingId' => $this->sittings[$student], 'entry' => 'e-open', 'try' => 1, 'levels' => [$level]],
        );
    }

    /** @param list<mixed> $levels */
    private function again(int $status, string $student, array $levels): Json
    {
        return $this->refused(
            $status,
            'PUT',
            '/second-marks',
            ['sittingId' => $this->sittings[$student], 'entry' => 'e-open', 'try' => 1, 'levels' => $levels],
        );
    }

    private function markers(): Json
    {
        return $this->get('GET', "/handouts/$this->handout/results/markers")->list('questions')[0];
    }
}
