<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127130000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Questions that students write, when they are asked to.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE invitation (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team,
            class_id uuid NOT NULL REFERENCES class,
            topic text NOT NULL,
            opened_by uuid NOT NULL REFERENCES staff,
            opened_at timestamptz NOT NULL,
            closed_at timestamptz
        )');
        $this->addSql('CREATE INDEX invitation_team ON invitation (team_id, opened_at)');
        $this->addSql('CREATE INDEX invitation_class ON invitation (class_id)');
        $this->addSql("CREATE TABLE proposal (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team,
            invitation_id uuid NOT NULL REFERENCES invitation,
            student_id uuid NOT NULL REFERENCES student,
            content jsonb NOT NULL,
            state text NOT NULL CHECK (state IN ('waiting', 'sent back', 'let in')),
            words text NOT NULL DEFAULT '',
            shown boolean NOT NULL DEFAULT false,
            named boolean NOT NULL DEFAULT false,
            item_id uuid REFERENCES item,
            version integer NOT NULL,
            written_at timestamptz NOT NULL,
            CHECK ((state = 'let in') = (item_id IS NOT NULL)),
            CHECK (state <> 'sent back' OR NOT shown)
        )");
        $this->addSql('CREATE INDEX proposal_invitation ON proposal (invitation_id, written_at)');
        $this->addSql('CREATE INDEX proposal_student ON proposal (student_id)');
        $this->addSql('CREATE UNIQUE INDEX proposal_item ON proposal (item_id) WHERE item_id IS NOT NULL');
        $this->addSql('CREATE TABLE proposal_answer (
            proposal_id uuid NOT NULL REFERENCES proposal ON DELETE CASCADE,
            version integer NOT NULL,
            student_id uuid NOT NULL REFERENCES student,
            picked smallint NOT NULL,
            answered_at timestamptz NOT NULL,
            PRIMARY KEY (proposal_id, version, student_id)
        )');
    }
}
