<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\ReadModel;

use Brick\Math\BigRational;
use ChalkLadder\Core\Sitting\FeedbackPlan;
use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Core\Sitting\Told;
use ChalkLadder\Core\Sitting\ToldFrom;
use ChalkLadder\Server\Bank\ReadModel\BankTables;
use ChalkLadder\Server\Handout\ReadModel\HandoutTables;
use ChalkLadder\Server\Paper\ReadModel\PaperTables;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Sitting\ReadModel\SittingTables;

/** What a student has been told of their own answers, in all their work. */
final readonly class OwnAnswers extends ReadModel
{
    /** The latest that are looked at: some years of homework. */
    private const MOST = 2000;

    /** @return list<array{string, float}> skill and credit of each first try, in the order of time */
    public function credits(string $studentId): array
    {
        $told = $this->told($studentId);
        /** @var list<array{skill_id: string, credit: string}> $rows */
        $rows = $told === [] ? [] : $this->rows('SELECT i.skill_id, '.SittingTables::CREDIT.' AS credit FROM '.SittingTables::SITTINGS.' s
            JOIN '.HandoutTables::HANDOUTS.' h ON h.id = s.handout_id
            JOIN '.SittingTables::RESPONSES.' r ON r.sitting_id = s.id AND r.try = 1 AND '.SittingTables::CREDIT.' IS NOT NULL
            AND '.SittingTables::SAYS.'
            JOIN '.PaperTables::ITEMS.' ei ON ei.edition_id = h.edition_id AND ei.entry = r.entry
            JOIN '.BankTables::SKILLS_OF_QUESTIONS.' i ON i.id = ei.item_id
            WHERE s.id IN (:told) AND i.skill_id IS NOT NULL ORDER BY r.saved_at DESC, r.sitting_id, r.entry LIMIT '.self::MOST, [
            'told' => $told,
        ]);

        return array_map(
            static fn (array $r): array => [$r['skill_id'], BigRational::of($r['credit'])->toFloat()],
            array_reverse($rows),
        );
    }

    /** @return list<string> sittings of which the student has been told marks */
    private function told(string $studentId): array
    {
        /** @var list<array{id: string, state: string, feedback: string, closed_since: bool}> $rows */
        $rows = $this->rows("SELECT s.id, s.state, h.conditions -> 'feedback' AS feedback, ".SittingTables::CLOSED_SINCE.' AS closed_since
            FROM '.SittingTables::SITTINGS.' s
            JOIN '.HandoutTables::HANDOUTS.' h ON h.id = s.handout_id WHERE s.student_id = :who AND '.SittingTables::OVER, [
            'who' => $studentId,
        ]);

        return array_column(array_filter(
            $rows,
            static fn (array $r): bool => FeedbackPlan::fromArray(Json::decode($r['feedback']))->tells(
                Told::Marks,
                ToldFrom::reached(SittingState::from($r['state']), $r['closed_since']),
            ),
        ), 'id');
    }
}
