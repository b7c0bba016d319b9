<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

use ChalkLadder\Core\Analysis\OwnSkill;
use ChalkLadder\Server\Bank\Terms;
use ChalkLadder\Server\Identity\Teams;
use ChalkLadder\Server\Results\Api\View\OwnSkillsView;
use ChalkLadder\Server\Results\Api\View\OwnSkillView;
use ChalkLadder\Server\Results\ReadModel\OwnAnswers;
use ChalkLadder\Server\Roster\StudentUser;

/** What a student can do by now, by skill. Nothing counts that they have not been told. */
final readonly class OwnSkills
{
    public function __construct(private OwnAnswers $answers, private Terms $terms, private Teams $teams)
    {
    }

    public function show(StudentUser $who): OwnSkillsView
    {
        $rungs = $this->teams->rungs($who->teamId);
        $names = $this->terms->skillNames($who->teamId);
        $same = $this->terms->sameAs($who->teamId);
        $credits = [];
        foreach ($this->answers->credits($who->id) as [$skill, $credit]) {
            $credits[$same[$skill] ?? $skill][] = $credit;
        }
        $skills = [];
        foreach (array_intersect_key($credits, $names) as $skill => $own) {
            $now = OwnSkill::of($own, $rungs);
            $skills[] = new OwnSkillView($names[$skill], $now->credit, $now->n, $now->rung, $rungs->name($now->rung));
        }
        usort($skills, static fn (OwnSkillView $a, OwnSkillView $b): int => strnatcasecmp($a->name, $b->name));

        return new OwnSkillsView($skills, count($rungs->bands), OwnSkill::LATEST);
    }
}
