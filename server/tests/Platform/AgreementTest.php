<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Platform;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\Response\TextResponse;
use ChalkLadder\Core\Sitting\AttemptRule;
use ChalkLadder\Server\Handout\ReadModel\HandoutTables;
use ChalkLadder\Server\Handout\Window;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Sitting\Answer;
use ChalkLadder\Server\Sitting\ReadModel\SittingTables;
use ChalkLadder\Server\Tests\ApiCase;

/** Rules that stand in code and, for statements, in SQL: both say the same. */
final class AgreementTest extends ApiCase
{
    public function testAWindow(): void
    {
        $now = new \DateTimeImmutable('2026-11-26 10:00:00 UTC');
        $handout = $this->world->handOut();
        $moments = [
            null,
            $now->modify('-2 hours'),
            $now->modify('-60 seconds'),
            $now->modify('-59 seconds'),
            $now,
            $now->modify('+1 second'),
        ];
        foreach ([true, false] as $visible) {
            foreach ($moments as $closes) {
                foreach ([null, $now->modify('-1 minute')] as $closed) {
                    $window = new Window($visible, null, $closes, $closed);
                    $this->tables->run(
                        'UPDATE handout SET visible = :visible, closes_at = :closes, closed_at = :closed',
                        [
                            'visible' => $visible ? 't' : 'f',
                            'closes' => $closes === null ? null : Moment::stored($closes),
                            'closed' => $closed === null ? null : Moment::stored($closed),
                        ],
                    );
                    $row = $this->tables->row(
                        'SELECT '.HandoutTables::CLOSED.' AS closed, '.HandoutTables::TAKES_ANSWERS.' AS takes, '.HandoutTables::DUE
                            .' AS due FROM handout h WHERE id = :id',
                        ['id' => $handout, 'now' => Moment::stored($now)],
                    );
                    self::assertSame(
                        [$window->isClosedAt($now), $window->takesAnswersAt($now), $window->isDueAt($now)],
                        [$row?->bool('closed'), $row?->bool('takes'), $row?->bool('due')],
                        json_encode([$visible, $closes, $closed], JSON_THROW_ON_ERROR),
                    );
                }
            }
        }
    }

    public function testWhichAttemptCounts(): void
    {
        foreach (AttemptRule::cases() as $rule) {
            $handout = $this->world->handOut(['attempts' => 3, 'counts' => $rule->value]);
            foreach (['SECRETBROOK', 'SECRETROCK', 'SECRETROCK'] as $text) {
                $this->world->sit('Ada Okafor', $handout, ['e-text' => ['text' => $text]]);
            }
            $marks = $counting = [];
            foreach ($this->tables->rows(
                'SELECT a.attempt, a.marks, a.counts FROM '.SittingTables::ATTEMPTS.' a WHERE a.handout_id = :id ORDER BY a.attempt',
                ['id' => $handout],
            ) as $row) {
                $marks[$row->int('attempt')] = $row->float('marks');
                if ($row->bool('counts')) {
                    $counting[] = $row->int('attempt');
                }
            }
            self::assertSame([1.0, 2.0, 2.0], array_values($marks));
            assert($marks !== []);
            self::assertSame($rule->counting($marks), $counting, $rule->value);
        }
    }

    public function testWhatAnAnswerIs(): void
    {
        $handout = $this->world->handOut();
        $this->world->sit(
            'Ada Okafor',
            $handout,
            ['e-open' => ['text' => 'The moon.'], 'e-text' => ['text' => 'reef'], 'e-number' => ['text' => ' ']],
        );
        $outcomes = [
            'e-open' => Outcome::byHand(''),
            'e-text' => Outcome::of(BigRational::zero(), '', ''),
            'e-number' => Outcome::nothing(),
        ];
        foreach ($outcomes as $entry => $outcome) {
            foreach ([null, '1/2'] as $hand) {
                $this->tables->run('UPDATE response SET hand_credit = :hand WHERE entry = :entry', ['hand' => $hand, 'entry' => $entry]);
                $answer = new Answer($entry, 1, new TextResponse(''), 1, true, $outcome, $hand === null ? null : BigRational::of($hand));
                $row = $this->tables->row(
                    'SELECT '.SittingTables::CREDIT.' AS credit, '.SittingTables::WAITS.' AS waits, '.SittingTables::SAYS.' AS says
                        FROM response r WHERE entry = :entry',
                    ['entry' => $entry],
                );
                self::assertSame(
                    [$answer->credit() === null ? null : (string) $answer->credit(), $answer->waits(), $answer->says()],
                    [$row?->textOrNull('credit'), $row?->bool('waits'), $row?->bool('says')],
                    $entry,
                );
            }
        }
    }
}
