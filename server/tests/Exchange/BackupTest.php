<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Exchange;

use ChalkLadder\Server\Exchange\ReadModel\TeamCopy;
use ChalkLadder\Server\Exchange\TeamBackup;
use ChalkLadder\Server\Media\Content;
use ChalkLadder\Server\Media\Files;
use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Pdf;
use Doctrine\ORM\EntityManagerInterface;

final class BackupTest extends ApiCase
{
    private string $file;

    protected function setUp(): void
    {
        parent::setUp();
        $this->file = (string) tempnam(sys_get_temp_dir(), 'backup');
    }

    protected function tearDown(): void
    {
        @unlink($this->file);
        parent::tearDown();
    }

    public function testARestoredTeamIsTheSameToTheLastByte(): void
    {
        $team = $this->world->lead->teamId;
        $handout = $this->world->handOut();
        $this->world->sit('Ada Okafor', $handout, ['e-choice' => ['options' => ['b']], 'e-open' => ['text' => "Line\n\"two\" ½"]]);
        $this->as($this->world->lead)->get('POST', "/handouts/$handout/keys/e-text", ['accept' => ['text' => 'reef']]);
        $grouping = $this->get(
            'POST',
            "/handouts/$handout/groupings",
            ['name' => 'G', 'groups' => [['name' => 'One', 'members' => [['studentId' => $this->world->students['Ada Okafor']->id]]]]],
        );
        $this->get(
            'POST',
            '/groupings/'.$grouping->text('id').'/follow-ups',
            ['groups' => [[
                'groupId' => $grouping->text('groups.0.id'),
                'editionId' => $this->world->editionId,
                'requestId' => '01900000-0000-7000-8000-000000000009',
            ]]],
        );
        [$ada, $ben, $cleo] = array_values(array_column($this->world->students, 'id'));
        $helped = $this->as($this->world->students['Benoît Larsen'])->get('POST', "/me/handouts/$handout/open")->text('id');
        $this->get('PUT', "/me/sittings/$helped/left/01900000-0000-7000-8000-00000000000a", ['seconds' => 4]);
        $this->as($this->world->lead)->get('PUT', "/handouts/$handout/climb", ['teams' => [
            ['name' => 'Keel', 'students' => [$ada]], ['name' => 'Oar', 'students' => [$ben]],
        ]]);
        $this->get('POST', "/students/$cleo/merge", ['id' => '01900000-0000-7000-8000-00000000000b', 'into' => $ben]);
        $files = self::service(Files::class);
        $scan = Pdf::read(2, static fn (Content $c): string => $files->keep($team, null, 'scan.pdf', $c));
        $lies = fn (): string => getenv('CHALK_STATE').'/files/'.substr(
            (string) $this->as($this->world->lead)->ask('GET', "/files/$scan/pages/2")->headers->get('X-Accel-Redirect'),
            strlen('/internal/files/'),
        );
        $page = $lies();
        $bytes = file_get_contents($page);
        $backup = self::service(TeamBackup::class);
        $first = $backup->write($team, $this->file);

        $this->remove($team);
        unlink($page);
        self::assertNull($this->tables->row('SELECT 1 FROM team WHERE id = :id', ['id' => $team]));
        self::assertSame($first[0], $backup->restore($this->file));
        self::assertSame($first, $backup->write($team, $this->file));
        self::assertSame($bytes, file_get_contents($lies()));
        self::assertSame('G', $this->as($this->world->lead)->get('GET', '/groupings')->text('groupings.0.name'));
    }

    public function testADamagedFileChangesNothing(): void
    {
        $backup = self::service(TeamBackup::class);
        $backup->write($this->world->lead->teamId, $this->file);
        $whole = (string) file_get_contents($this->file);
        foreach ([
            '',
            substr($whole, 0, -200),
            str_replace('Heights of tide', 'Heights of time', $whole),
            '{"format":"other"}',
        ] as $damaged) {
            file_put_contents($this->file, $damaged);
            try {
                $backup->restore($this->file);
                self::fail('A damaged backup was taken.');
            } catch (\UnexpectedValueException) {
                $this->addToAssertionCount(1);
            }
        }
    }

    public function testATeamThatIsNotThereHasNoBackup(): void
    {
        $this->expectExceptionMessage('There is no such team here.');
        self::service(TeamBackup::class)->write('01900000-0000-7000-8000-00000000dead', $this->file);
    }

    /** Takes every row of a team away, those last that others refer to. */
    private function remove(string $team): void
    {
        $connection = self::service(EntityManagerInterface::class)->getConnection();
        $connection->executeStatement('DELETE FROM session');
        $connection->executeStatement('UPDATE handout SET group_id = NULL');
        $tables = [];
        foreach (self::service(TeamCopy::class)->rows($team) as [$table]) {
            $tables[$table] = $table;
        }
        $conditions = (new \ReflectionMethod(TeamCopy::class, 'tables'))->invoke(self::service(TeamCopy::class));
        assert(is_array($conditions));
        foreach (array_reverse($tables) as $table) {
            assert(is_string($conditions[$table]));
            $connection->executeStatement("DELETE FROM \"$table\" t WHERE $conditions[$table]", ['team' => $team]);
        }
        self::service(EntityManagerInterface::class)->clear();
    }
}
