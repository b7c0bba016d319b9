<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Paper;

use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;

final class RehearsalTest extends ApiCase
{
    private string $path;

    protected function setUp(): void
    {
        parent::setUp();
        $this->path = '/papers/'.$this->world->paperId;
        $this->as($this->world->teacher);
    }

    public function testADraftIsSatByMadeUpStudentsAndTheSameSeedSitsItTheSame(): void
    {
        $this->write($this->world->paperDocument(['below' => '1/2', 'then' => 's2', 'else' => 'end']));
        $found = $this->rehearse(['students' => 300, 'seed' => 'a']);

        self::assertSame([300, 4, 0, 0], [$found->int('students'), $found->int('questions'), $found->int('known'), $found->int('timed')]);
        self::assertEqualsCanonicalizing(['First look', 'First look → Further out'], $found->column('ways', 'way'));
        self::assertSame(
            [300, 300],
            array_map(static fn (string $list): int => (int) array_sum($found->column($list, 'students')), ['lengths', 'abilities']),
        );
        self::assertSame(300, array_sum(array_map(static fn (Json $w): int => $w->int('students.count'), $found->list('ways'))));
        foreach ([
            ...$found->list('ways'),
            ...array_map(
                static fn (string $side): Json => Json::of((string) json_encode(['students' => $found->map("routes.0.$side")])),
                ['below', 'above'],
            ),
        ] as $said) {
            self::assertEqualsWithDelta($said->int('students.count') / 300, $said->at('students.share'), 1e-12);
            self::assertLessThan($said->at('students.share'), $said->at('students.low'));
            self::assertGreaterThan($said->at('students.share'), $said->at('students.high'));
        }
        self::assertSame([2, 4], $found->column('lengths', 'questions'));
        self::assertSame(
            [['First look', 300]],
            array_map(static fn (Json $r): array => [$r->text('section'), $r->int('students')], $found->list('routes')),
        );
        // Nothing is recorded yet: choice and text take half a minute, number one, open four.
        self::assertEquals([60.0, 360.0], [$found->at('seconds.0'), $found->at('seconds.2')]);
        self::assertEquals($found, $this->rehearse(['students' => 300, 'seed' => 'a']));
        self::assertNotEquals($found, $this->rehearse(['students' => 300, 'seed' => 'b']));
        self::assertNull($this->tables->row('SELECT 1 FROM sitting'), 'nothing is kept');
    }

    public function testTheBanksRecordSetsHowHardAndHowLongAQuestionIs(): void
    {
        $this->write($this->world->paperDocument(['below' => '1/2', 'then' => 's2', 'else' => 'end']));
        $sentOn = fn (): int => (int) array_sum(array_map(
            static fn (Json $w): int => $w->text('way') === 'First look' ? $w->int('students.count') : 0,
            $this->rehearse(['students' => 500])->list('ways'),
        ));
        $before = $sentOn();
        $handout = $this->world->handOut();
        foreach (array_keys($this->world->students) as $name) {
            $id = $this->as($this->world->students[$name])->get('POST', "/me/handouts/$handout/open")->text('id');
            $this->get('PUT', "/me/sittings/$id/responses", ['saves' => [
                [
                    'entry' => 'e-choice',
                    'try' => 1,
                    'value' => ['options' => [$this->shown($id, 'a')]],
                    'counter' => 1,
                    'clientId' => 'x',
                    'millis' => 12_000,
                ],
                [
                    'entry' => 'e-text',
                    'try' => 1,
                    'value' => ['text' => 'SECRETROCK'],
                    'counter' => 1,
                    'clientId' => 'y',
                    'millis' => 9_000,
                ],
            ]]);
            $this->get('POST', "/me/sittings/$id/go-on", ['visit' => 1]);
            $this->get('POST', "/me/sittings/$id/hand-in", ['visit' => 2]);
        }
        $this->as($this->world->teacher);
        $found = $this->rehearse();

        self::assertSame([2, 2], [$found->int('known'), $found->int('timed')]);
        self::assertEquals(21.0, $found->at('seconds.0'));
        self::assertGreaterThan($before, $sentOn(), 'what everybody had right is easy');
        $record = $this->get('GET', '/items/'.$this->world->items['choice']);
        self::assertEquals([12.0, 1.0], [$record->at('record.seconds'), $record->at('record.facility')]);
    }

    public function testWrongIdeasLeadAstrayWhereThePaperCanShowThem(): void
    {
        $this->write($this->world->paperDocument(['below' => '1', 'then' => 's2', 'else' => 'end']));
        $share = fn (float $holders): float => array_sum($this->rehearse([
            'students' => 500,
            'holders' => $holders,
        ])->column('abilities', 'share'));
        self::assertLessThan($share(0.0), $share(0.5));
    }

    public function testWhatCannotBeSatIsRefusedWithItsReason(): void
    {
        $this->write(['sections' => []] + $this->world->paperDocument());
        self::assertSame('It has no question.', $this->refused(409, 'POST', "$this->path/rehearsal", [])->text('detail'));
        $this->write($this->world->paperDocument(['below' => '1/2', 'then' => 's1', 'else' => 's2']));
        self::assertSame('Its routes go round without end.', $this->refused(409, 'POST', "$this->path/rehearsal", [])->text('detail'));
        foreach ([['students' => 5], ['students' => 100_000], ['seed' => ''], ['holders' => 0.9]] as $wrong) {
            self::assertSame(array_keys($wrong), array_keys($this->refused(422, 'POST', "$this->path/rehearsal", $wrong)->map('fields')));
        }
    }

    /** @param array<string, mixed> $paper */
    private function write(array $paper): void
    {
        $this->get('PUT', $this->path, ['paper' => $paper, 'version' => $this->get('GET', $this->path)->int('version')]);
    }

    /** @param array<string, mixed> $input */
    private function rehearse(array $input = []): Json
    {
        return $this->get('POST', "$this->path/rehearsal", $input);
    }
}
