<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Roster;

use ChalkLadder\Server\Media\Content;
use ChalkLadder\Server\Media\Files;
use ChalkLadder\Server\Media\Uploads;
use ChalkLadder\Server\Roster\Erasing;
use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Pdf;

final class ErasingTest extends ApiCase
{
    public function testNameAndWordsGoAndFiguresStay(): void
    {
        $handout = $this->world->handOut();
        $ada = $this->world->students['Ada Okafor'];
        $id = $this->world->sit(
            'Ada Okafor',
            $handout,
            ['e-choice' => ['options' => ['a']], 'e-text' => ['text' => 'SECRETROCK'], 'e-open' => ['text' => 'I am Ada and I live here.']],
        );
        $this->as($this->world->teacher)->get(
            'PUT',
            '/marks',
            ['sittingId' => $id, 'entry' => 'e-open', 'try' => 1, 'levels' => [1], 'comment' => 'Dear Ada', 'markVersion' => 0],
        );
        $this->get('POST', "/handouts/$handout/return", ['message' => 'Well, Ada']);
        $this->as($ada)->get('POST', "/me/sittings/$id/reply", ['text' => 'Thanks, Ada']);
        $cookie = $this->browser->getCookieJar()->all()[0];
        $before = $this->as($this->world->teacher)->get('GET', "/handouts/$handout/results");

        self::service(Erasing::class)->erase($this->world->teacher->teamId, $ada->id);

        $after = $this->get('GET', "/handouts/$handout/results");
        self::assertSame($before->at('mean.value'), $after->at('mean.value'));
        self::assertSame('Erased student', $after->text('students.0.name'));
        foreach ([
            "/handouts/$handout/results",
            "/sittings/$id",
            '/marking',
            '/outbox',
            "/handouts/$handout/responses.csv",
            "/handouts/$handout/marking/e-open",
            '/classes/'.$this->world->classId,
        ] as $path) {
            self::assertStringNotContainsString('Ada', (string) $this->ask('GET', $path)->getContent(), $path);
        }
        $this->as(null);
        $this->browser->getCookieJar()->set($cookie);
        $this->refused(401, 'GET', '/me/work');
    }

    public function testWhatWasSaidInALessonGoes(): void
    {
        $handout = $this->world->handOut();
        [$ada, $cleo] = [$this->world->students['Ada Okafor'], $this->world->students['Cleo Marsh']];
        $this->world->sit('Cleo Marsh', $handout, ['e-text' => ['text' => 'SECRETROCK']]);
        $sitting = $this->as($ada)->get('POST', "/me/handouts/$handout/open")->text('id');
        $help = '0190a0a0-0000-7000-8000-000000000b01';
        $this->as($this->world->teacher)->get('POST', "/sittings/$sitting/helps", ['id' => $help, 'entry' => 'e-text', 'helper' => $cleo->id]);
        $teams = [['name' => 'Keel', 'students' => [$cleo->id, $ada->id]], ['name' => 'Oar', 'students' => []]];
        $this->get('PUT', "/handouts/$handout/climb", ['teams' => $teams]);

        self::service(Erasing::class)->erase($this->world->teacher->teamId, $cleo->id);

        self::assertSame([], $this->get('GET', "/handouts/$handout/helps")->list('helps'));
        self::assertSame([$ada->id], $this->get('GET', "/handouts/$handout/climb")->at('teams.0.students'));
    }

    public function testFilesGoWithTheirBytesUnlessSomebodyElseHasTheSame(): void
    {
        $handout = $this->world->handOut();
        $team = $this->world->teacher->teamId;
        $files = self::service(Files::class);
        $sitting = fn (string $name): string => $this->as($this->world->students[$name])->get('POST', "/me/handouts/$handout/open")->text('id');
        $ada = $sitting('Ada Okafor');
        $keep = static fn (int $pages, string $of): string => Pdf::read(
            $pages,
            static fn (Content $c): string => $files->keep($team, $of, 'scan.pdf', $c),
        );
        [$own, $shared, $other] = [$keep(1, $ada), $keep(2, $ada), $keep(2, $sitting('Cleo Marsh'))];
        $lies = fn (string $id): bool => is_file(getenv('CHALK_STATE').'/files/'.substr(
            (string) $this->as($this->world->teacher)->ask('GET', "/files/$id")->headers->get('X-Accel-Redirect'),
            strlen('/internal/files/'),
        ));
        $key = substr((string) $this->as($this->world->teacher)->ask('GET', "/files/$own")->headers->get('X-Accel-Redirect'), strlen('/internal/files/'));

        self::service(Erasing::class)->erase($team, $this->world->students['Ada Okafor']->id);
        self::service(Uploads::class)->tidy();

        $this->as($this->world->teacher);
        $this->refused(404, 'GET', "/files/$own");
        $this->refused(404, 'GET', "/files/$shared");
        self::assertTrue($lies($other));
        self::assertFileDoesNotExist(getenv('CHALK_STATE').'/files/'.$key);
        self::assertFileDoesNotExist(getenv('CHALK_STATE').'/files/'.$key.'-1.png');
    }
}
