<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Marking;

use ChalkLadder\Server\Paper\Api\Input\PaperInput;
use ChalkLadder\Server\Paper\Api\Input\PublishInput;
use ChalkLadder\Server\Paper\Papers;
use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;

final class DeskTest extends ApiCase
{
    private string $handout;
    /** @var array<string, string> sittings by name */
    private array $sittings;

    protected function setUp(): void
    {
        parent::setUp();
        $this->handout = $this->world->handOut();
        foreach ([
            'Ada Okafor' => 'The moon pulls the water.',
            'Benoît Larsen' => 'the moon pulls the waters',
            'Cleo Marsh' => 'Wind.',
        ] as $name => $text) {
            $this->sittings[$name] = $this->world->sit(
                $name,
                $this->handout,
                ['e-open' => ['text' => $text], 'e-text' => ['text' => 'reef']],
            );
        }
        $this->as($this->world->teacher);
    }

    public function testWhatWaitsIsListedByQuestionAndShrinksAsItIsMarked(): void
    {
        $waiting = $this->get('GET', '/marking');
        self::assertSame([3, 1], [$waiting->int('waiting'), count($waiting->list('questions'))]);
        self::assertSame(
            ['e-open', 4, 3, 3],
            [
                $waiting->at('questions.0.entry'),
                $waiting->at('questions.0.number'),
                $waiting->at('questions.0.waiting'),
                $waiting->at('questions.0.answers'),
            ],
        );
        $this->mark('Ada Okafor', ['levels' => [1]]);
        self::assertSame(
            [2, 2, 3],
            [
                $this->get('GET', '/marking')->at('waiting'),
                $this->get('GET', '/marking')->at('questions.0.waiting'),
                $this->get('GET', '/marking')->at('questions.0.answers'),
            ],
        );
    }

    public function testAnswersThatLookAlikeStandTogether(): void
    {
        $desk = $this->desk();
        $sets = array_map(static fn (Json $s): array => $s->map('answers'), $desk->list('sets'));
        self::assertContains([0, 1], $sets, 'two who name the moon');
        self::assertContains([2], $sets);
        self::assertSame([0, 0, 0, 3], $desk->column('questions', 'waiting'));
    }

    public function testNumbersStandTogetherByTheirValue(): void
    {
        $handout = $this->world->handOut();
        foreach (['Ada Okafor' => '11 m', 'Benoît Larsen' => '11.0m', 'Cleo Marsh' => 'eleven'] as $name => $text) {
            $this->world->sit($name, $handout, ['e-number' => ['text' => $text]]);
        }
        $sets = array_map(
            static fn (Json $s): array => $s->map('answers'),
            $this->get('GET', "/handouts/$handout/marking/e-number")->list('sets'),
        );

        self::assertSame([[0, 1, 2]], $sets, 'in figures and in words');
    }

    public function testANearMissStandsBesideWhatItMissed(): void
    {
        $handout = $this->world->handOut();
        foreach (['Ada Okafor' => 'SECRETROCK', 'Benoît Larsen' => 'secretrok', 'Cleo Marsh' => 'Secretrock'] as $name => $text) {
            $this->world->sit($name, $handout, ['e-text' => ['text' => $text]]);
        }
        $desk = $this->get('GET', "/handouts/$handout/marking/e-text");

        self::assertSame(['right', 'wrong', 'right'], $desk->column('answers', 'verdict'));
        self::assertSame([[0, 2], [1]], array_map(static fn (Json $s): array => $s->map('answers'), $desk->list('sets')));
    }

    public function testLevelsBecomeCreditMarksAndAState(): void
    {
        $mark = $this->mark('Ada Okafor', ['levels' => [1], 'comment' => ' Say where the water goes. ']);
        self::assertSame(
            ['1', 'right', true, 'Say where the water goes.', 1],
            [$mark->at('credit'), $mark->at('verdict'), $mark->at('byHand'), $mark->at('comment'), $mark->at('markVersion')],
        );
        self::assertSame(['marked', 4.0], $this->sitting('Ada Okafor'));
        self::assertSame('handed in', $this->sitting('Cleo Marsh')[0], 'another still waits');

        $this->mark('Cleo Marsh', ['levels' => [0]]);
        self::assertSame(['marked', 0.0], $this->sitting('Cleo Marsh'));
        self::assertSame([$this->world->idea], $this->misconceptions('Cleo Marsh'), 'a level may tell a misconception');
        self::assertSame(['Say where the water goes.'], $this->desk()->at('shelf'));
    }

    public function testAMarkTakenBackWaitsAgain(): void
    {
        $this->mark('Ada Okafor', ['levels' => [1]]);
        $back = $this->mark('Ada Okafor', ['markVersion' => 1]);
        self::assertSame([null, 'by hand', false], [$back->at('credit'), $back->at('verdict'), $back->at('byHand')]);
        self::assertSame('handed in', $this->sitting('Ada Okafor')[0]);
        self::assertSame(
            [[null, '1'], ['1', null]],
            array_map(
                static fn ($r): array => [$r->textOrNull('before_credit'), $r->textOrNull('after_credit')],
                $this->tables->rows(
                    'SELECT before_credit, after_credit FROM mark_event WHERE entry = :entry ORDER BY at, id',
                    ['entry' => 'e-open'],
                ),
            ),
            'both acts are on record',
        );
    }

    public function testTwoMarkersAtOnceDoNotOverwriteEachOther(): void
    {
        $this->mark('Ada Okafor', ['levels' => [1]]);
        $this->as($this->world->lead);
        $problem = $this->refused(
            409,
            'PUT',
            '/marks',
            ['sittingId' => $this->sittings['Ada Okafor'], 'entry' => 'e-open', 'try' => 1, 'levels' => [0], 'markVersion' => 0],
        );
        self::assertSame(1, $problem->int('markVersion'));
        self::assertSame(4.0, $this->sitting('Ada Okafor')[1]);
    }

    public function testWhatIsNoMarkIsRefusedAtItsField(): void
    {
        $base = ['sittingId' => $this->sittings['Ada Okafor'], 'entry' => 'e-open', 'try' => 1, 'markVersion' => 0];
        foreach ([
            ['levels', ['levels' => [7]]],
            ['credit', ['credit' => '5/4']],
            ['credit', ['credit' => '1/0']],
            ['credit', ['credit' => '-1']],
            ['comment', ['comment' => str_repeat('x', 2001)]],
            ['try', ['try' => 0]],
        ] as [$field, $change]) {
            self::assertArrayHasKey($field, $this->refused(422, 'PUT', '/marks', $change + $base)->map('fields'));
        }
        $this->refused(404, 'PUT', '/marks', ['entry' => 'e-none'] + $base);
        $this->refused(404, 'PUT', '/marks', ['try' => 2] + $base);
        self::assertSame('handed in', $this->sitting('Ada Okafor')[0]);
    }

    public function testAMarkerSeesNoNamesAndDoesNotCorrectTheMachine(): void
    {
        $desk = $this->as($this->world->marker)->get('GET', "/handouts/$this->handout/marking/e-open");
        self::assertTrue($desk->at('namesHidden'));
        foreach ($desk->column('answers', 'student') as $name) {
            self::assertIsString($name);
            self::assertMatchesRegularExpression('/^Student [123]$/', $name);
        }
        $this->mark('Ada Okafor', ['levels' => [1]]);
        $this->refused(
            403,
            'PUT',
            '/marks',
            ['sittingId' => $this->sittings['Ada Okafor'], 'entry' => 'e-text', 'try' => 1, 'credit' => '1', 'markVersion' => 0],
        );
    }

    public function testTheCommentShelfHoldsThisTeamsCommentsOnThisEditionsQuestionAlone(): void
    {
        $handout = $this->world->handOut();
        $marked = function (string $handout, string $comment): void {
            $id = $this->world->sit('Ada Okafor', $handout, ['e-open' => ['text' => 'The moon pulls.']]);
            $mark = ['sittingId' => $id, 'entry' => 'e-open', 'try' => 1, 'credit' => '1/2', 'markVersion' => 0];
            $this->as($this->world->teacher)->get('PUT', '/marks', $mark + ['comment' => $comment]);
        };
        $marked($handout, 'Say why.');
        $papers = $this->world->get(Papers::class);
        $paper = $papers->create($this->world->lead, new PaperInput($this->world->paperDocument()));
        $edition = $papers->publish($this->world->lead, $paper->id, new PublishInput($paper->version))->editionId;
        $other = $this->world->handOut([], $edition);
        $marked($other, 'Of another paper.');
        $shelf = fn (): array => $this->get('GET', "/handouts/$handout/marking/e-open")->map('shelf');
        self::assertSame(['Say why.'], $shelf());

        // As if the same edition had been handed out by others.
        $this->tables->run(
            'UPDATE handout SET team_id = :team, edition_id = :edition WHERE id = :id',
            ['team' => $this->world->stranger->teamId, 'edition' => $this->world->editionId, 'id' => $other],
        );
        self::assertSame(['Say why.'], $shelf());
    }

    public function testATeacherCorrectsTheMachineForOneStudentAndTakesItBack(): void
    {
        $fix = fn (?string $credit, int $version): Json => $this->get(
            'PUT',
            '/marks',
            ['sittingId' => $this->sittings['Ada Okafor'], 'entry' => 'e-text', 'try' => 1, 'credit' => $credit, 'markVersion' => $version],
        );
        self::assertSame('part', $fix('1/2', 0)->text('verdict'));
        self::assertSame(1.0, $this->sitting('Ada Okafor')[1]);
        $work = $this->get('GET', '/sittings/'.$this->sittings['Ada Okafor']);
        self::assertSame([true, '1/2'], [$work->at('answers.1.byHand'), $work->at('answers.1.credit')]);
        self::assertSame('wrong', $fix(null, 1)->text('verdict'), 'the machine’s verdict is back');
        self::assertSame(0.0, $this->sitting('Ada Okafor')[1]);
    }

    /** @param array<string, mixed> $how */
    private function mark(string $name, array $how): Json
    {
        return $this->get(
            'PUT',
            '/marks',
            $how + ['sittingId' => $this->sittings[$name], 'entry' => 'e-open', 'try' => 1, 'markVersion' => 0],
        );
    }

    private function desk(): Json
    {
        return $this->get('GET', "/handouts/$this->handout/marking/e-open");
    }

    /** @return array{string, float} state and marks */
    private function sitting(string $name): array
    {
        $row = $this->tables->row('SELECT state, marks FROM sitting WHERE id = :id', ['id' => $this->sittings[$name]]);

        return [$row?->text('state') ?? '', $row?->float('marks') ?? -1.0];
    }

    /** @return array<array-key, mixed> */
    private function misconceptions(string $name): array
    {
        return $this->tables->row(
            "SELECT array_to_json(misconceptions) AS ids FROM response WHERE sitting_id = :id AND entry = 'e-open'",
            ['id' => $this->sittings[$name]],
        )?->json('ids') ?? [];
    }
}
