<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126150000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'What files hold lies in a folder, once per hash; the database describes them. Files come in pieces, from students too.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE file ADD hash text, ADD size bigint, ADD width int, ADD height int, ADD pages int,
            ADD sitting_id uuid REFERENCES sitting ON DELETE CASCADE DEFERRABLE INITIALLY IMMEDIATE');
        $this->addSql("UPDATE file SET hash = encode(sha256(bytes), 'hex'), size = length(bytes)");
        $this->addSql('DROP INDEX file_hash');
        $this->addSql('ALTER TABLE file ALTER hash SET NOT NULL, ALTER size SET NOT NULL, DROP bytes');
        $this->addSql('CREATE INDEX file_hash ON file (team_id, hash)');
        $this->addSql('CREATE INDEX file_sitting ON file (sitting_id) WHERE sitting_id IS NOT NULL');
        $this->addSql('CREATE TABLE upload (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team ON DELETE CASCADE,
            staff_id uuid REFERENCES staff ON DELETE CASCADE,
            sitting_id uuid REFERENCES sitting ON DELETE CASCADE,
            name text NOT NULL,
            kinds jsonb NOT NULL,
            size bigint NOT NULL CHECK (size > 0),
            received bigint NOT NULL DEFAULT 0 CHECK (received <= size),
            file_id uuid REFERENCES file ON DELETE CASCADE,
            refused text,
            begun_at timestamptz NOT NULL,
            CHECK ((staff_id IS NULL) <> (sitting_id IS NULL))
        )');
        $this->addSql('CREATE INDEX upload_staff ON upload (staff_id) WHERE staff_id IS NOT NULL');
        $this->addSql('CREATE INDEX upload_sitting ON upload (sitting_id) WHERE sitting_id IS NOT NULL');
        $this->addSql('CREATE TABLE file_dropped (team_id uuid NOT NULL, hash text NOT NULL, dropped_at timestamptz NOT NULL,
            PRIMARY KEY (team_id, hash))');
    }

    /** What files held until now goes to where it lies from now on. */
    public function preUp(Schema $schema): void
    {
        $folder = getenv('CHALK_STATE').'/files';
        /** @var iterable<array{team: string, bytes: string}> $rows */
        $rows = $this->connection->iterateAssociative("SELECT team_id::text AS team, encode(bytes, 'base64') AS bytes FROM file");
        foreach ($rows as $row) {
            $bytes = (string) base64_decode($row['bytes'], true);
            $hash = hash('sha256', $bytes);
            $place = $folder.'/'.$row['team'].'/'.substr($hash, 0, 2);
            if (!is_dir($place)) {
                mkdir($place, 0o750, true);
            }
            $this->abortIf(file_put_contents("$place/$hash", $bytes) !== strlen($bytes), 'The files could not be moved to '.$folder);
        }
    }
}
