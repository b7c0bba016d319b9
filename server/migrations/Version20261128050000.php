<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128050000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'A student helps another with one question, each under another name.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("CREATE TABLE help (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team,
            handout_id uuid NOT NULL REFERENCES handout ON DELETE CASCADE,
            sitting_id uuid NOT NULL REFERENCES sitting ON DELETE CASCADE,
            entry text NOT NULL,
            try integer NOT NULL,
            helper_id uuid NOT NULL REFERENCES student ON DELETE CASCADE,
            helped_as text NOT NULL,
            helper_as text NOT NULL,
            asked_by uuid NOT NULL REFERENCES staff,
            asked_at timestamptz NOT NULL,
            taken_at timestamptz,
            over_at timestamptz,
            over_by text CHECK (over_by IN ('teacher', 'helped', 'helper')),
            CHECK ((over_at IS NULL) = (over_by IS NULL))
        )");
        $this->addSql('CREATE UNIQUE INDEX help_helped ON help (sitting_id) WHERE over_at IS NULL');
        $this->addSql('CREATE UNIQUE INDEX help_helper ON help (handout_id, helper_id) WHERE over_at IS NULL');
        $this->addSql('CREATE INDEX help_handout ON help (handout_id, asked_at)');
        $this->addSql("CREATE TABLE help_line (
            id uuid PRIMARY KEY,
            help_id uuid NOT NULL REFERENCES help ON DELETE CASCADE,
            by_helper boolean NOT NULL,
            words text NOT NULL,
            said_at timestamptz NOT NULL,
            held text CHECK (held IN ('a name', 'an address', 'a number')),
            let_at timestamptz
        )");
        $this->addSql('CREATE INDEX help_line_help ON help_line (help_id, said_at)');
    }
}
