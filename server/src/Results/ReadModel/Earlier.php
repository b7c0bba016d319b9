<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\ReadModel;

use ChalkLadder\Server\Bank\ReadModel\BankTables;
use ChalkLadder\Server\Handout\ReadModel\HandoutTables;
use ChalkLadder\Server\Paper\ReadModel\PaperTables;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Results\Api\View\EarlierView;
use ChalkLadder\Server\Sitting\ReadModel\SittingTables;

/** What the students of a handout have done in others. */
final readonly class Earlier extends ReadModel
{
    private const MOST = 30;

    /** @return list<EarlierView> earlier handouts that at least so many of the students have handed in, the latest first */
    public function handouts(string $handoutId, int $least): array
    {
        /** @var list<array{id: string, title: string, made_at: string, students: int}> $rows */
        $rows = $this->rows('SELECT h.id, h.title, h.made_at, count(DISTINCT s.student_id) AS students FROM '.HandoutTables::HANDOUTS.' here
            JOIN '.HandoutTables::HANDOUTS.' h ON h.team_id = here.team_id AND (h.made_at, h.id) < (here.made_at, here.id)
            JOIN '.SittingTables::SITTINGS.' s ON s.handout_id = h.id AND '.SittingTables::OVER.'
            WHERE here.id = :id AND EXISTS (SELECT 1 FROM '.SittingTables::ATTEMPTS.' a
            WHERE a.handout_id = here.id AND a.student_id = s.student_id)
            GROUP BY h.id, h.title, h.made_at HAVING count(DISTINCT s.student_id) >= :least
            ORDER BY h.made_at DESC, h.id LIMIT '.self::MOST, ['id' => $handoutId, 'least' => $least]);

        return array_map(
            static fn (array $r): EarlierView => new EarlierView($r['id'], $r['title'], Moment::iso($r['made_at']), $r['students']),
            $rows,
        );
    }

    /**
     * Every marked first try of the handout's students on these skills, whichever paper it was in, in the order of time.
     *
     * @param list<string> $skills
     *
     * @return array<string, array<string, list<bool>>> right or not, by student and skill
     */
    public function rightBySkill(string $handoutId, array $skills): array
    {
        /** @var list<array{student_id: string, skill_id: string, is_right: bool}> $rows */
        $rows = $skills === [] ? [] : $this->rows('SELECT s.student_id, i.skill_id, '.SittingTables::CREDIT." = '1' AS is_right
            FROM ".HandoutTables::STUDENTS.' hs
            JOIN '.SittingTables::SITTINGS.' s ON s.student_id = hs.student_id AND '.SittingTables::OVER.'
            JOIN '.HandoutTables::HANDOUTS.' h ON h.id = s.handout_id
            JOIN '.SittingTables::RESPONSES.' r ON r.sitting_id = s.id AND r.try = 1 AND '.SittingTables::CREDIT.' IS NOT NULL
            AND '.SittingTables::SAYS.'
            JOIN '.PaperTables::ITEMS.' ei ON ei.edition_id = h.edition_id AND ei.entry = r.entry
            JOIN '.BankTables::SKILLS_OF_QUESTIONS.' i ON i.id = ei.item_id
            WHERE hs.handout_id = :id AND i.skill_id IN (:skills) ORDER BY r.saved_at, r.sitting_id, r.entry', [
            'id' => $handoutId,
            'skills' => $skills,
        ]);
        $right = [];
        foreach ($rows as $row) {
            $right[$row['student_id']][$row['skill_id']][] = $row['is_right'];
        }

        return $right;
    }
}
