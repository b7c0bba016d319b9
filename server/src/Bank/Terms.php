<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Core\Formula\Unit;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Database;
use ChalkLadder\Server\Platform\Storage\Row;
use ChalkLadder\Server\Platform\Storage\Trail;

/** The team's skills and misconceptions. */
final readonly class Terms
{
    public function __construct(private Database $database, private Trail $trail)
    {
    }

    public function all(string $teamId): TermsView
    {
        $skills = $this->database->rows('SELECT s.id, s.name, s.parent_id, count(i.id) AS questions FROM skill s LEFT JOIN item i ON i.skill_id = s.id AND i.archived_at IS NULL WHERE s.team_id = :team GROUP BY s.id ORDER BY s.name', ['team' => $teamId]);
        $misconceptions = $this->database->rows('SELECT m.id, m.name, NULL AS parent_id, m.looks_like, m.next_step, count(i.id) AS questions FROM misconception m LEFT JOIN item i ON m.id = ANY(i.misconceptions) AND i.archived_at IS NULL WHERE m.team_id = :team GROUP BY m.id ORDER BY m.name', ['team' => $teamId]);

        return new TermsView(
            array_map(static fn (Row $r): TermView => new TermView($r->text('id'), $r->text('name'), $r->textOrNull('parent_id'), '', '', $r->int('questions')), $skills),
            array_map(static fn (Row $r): TermView => new TermView($r->text('id'), $r->text('name'), null, $r->text('looks_like'), $r->text('next_step'), $r->int('questions')), $misconceptions),
            Unit::symbols(),
        );
    }

    /** @return array<string, string> names of the team's misconceptions by id */
    public function misconceptionNames(string $teamId): array
    {
        return $this->names('misconception', $teamId);
    }

    /** @return array<string, string> names of the team's skills by id */
    public function skillNames(string $teamId): array
    {
        return $this->names('skill', $teamId);
    }

    public function addSkill(StaffUser $who, TermInput $input): TermView
    {
        $id = $this->add($who, 'skill', ['name' => trim($input->name)]);

        return new TermView($id, trim($input->name), null, '', '', 0);
    }

    public function addMisconception(StaffUser $who, TermInput $input): TermView
    {
        $id = $this->add($who, 'misconception', ['name' => trim($input->name), 'looks_like' => $input->looksLike, 'next_step' => $input->nextStep]);

        return new TermView($id, trim($input->name), null, $input->looksLike, $input->nextStep, 0);
    }

    /** @param array<string, string> $values */
    private function add(StaffUser $who, string $table, array $values): string
    {
        $taken = $this->database->row("SELECT 1 FROM $table WHERE team_id = :team AND lower(name) = lower(:name)", ['team' => $who->teamId, 'name' => $values['name']]);
        if ($taken !== null) {
            throw Problem::invalid(['name' => sprintf('There is already one called "%s".', $values['name'])]);
        }
        $id = $this->database->newId();
        $this->database->insert($table, ['id' => $id, 'team_id' => $who->teamId] + $values);
        $this->trail->note($who, 'add', $table, $id, ['name' => $values['name']]);

        return $id;
    }

    /** @return array<string, string> */
    private function names(string $table, string $teamId): array
    {
        $names = [];
        foreach ($this->database->rows("SELECT id, name FROM $table WHERE team_id = :team ORDER BY name", ['team' => $teamId]) as $row) {
            $names[$row->text('id')] = $row->text('name');
        }

        return $names;
    }
}
