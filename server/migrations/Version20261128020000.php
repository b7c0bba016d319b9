<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128020000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'What students are told: each thing from a moment on, instead of four plans by name; plans of the team’s own.';
    }

    public function up(Schema $schema): void
    {
        $plans = [
            'on return' => ['returned', 'returned', 'returned', 'returned', 'returned'],
            'at once' => ['at once', 'at once', 'returned', 'returned', 'returned'],
            'after hand-in' => ['handed in', 'handed in', 'handed in', 'handed in', 'handed in'],
            'nothing' => ['never', 'never', 'never', 'never', 'never'],
        ];
        foreach ($plans as $name => $from) {
            $plan = array_combine(['verdict', 'feedback', 'marks', 'key', 'workedAnswer'], $from) + ['classPicture' => 'never'];
            $this->addSql("UPDATE handout SET conditions = jsonb_set(conditions::jsonb, '{feedback}', :plan) WHERE conditions ->> 'feedback' = :name", [
                'plan' => json_encode($plan, \JSON_THROW_ON_ERROR),
                'name' => $name,
            ]);
        }
        $this->addSql('ALTER TABLE handout ADD closed_until timestamptz');
        $this->addSql('CREATE TABLE feedback_plan (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team (id),
            name text NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
            tells jsonb NOT NULL
        )');
        $this->addSql('CREATE UNIQUE INDEX feedback_plan_name ON feedback_plan (team_id, lower(name))');
    }
}
