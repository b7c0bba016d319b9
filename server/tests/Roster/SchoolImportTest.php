<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Roster;

use ChalkLadder\Server\Tests\ApiCase;

final class SchoolImportTest extends ApiCase
{
    private const FILES = [
        'users.csv' => "sourcedId,status,role,givenName,familyName,email\np1,,student,Ada,Okafor,\np2,,student,Dee,Fox,\n",
        'classes.csv' => "sourcedId,status,title\nc1,,8 Curlew\n",
        'enrollments.csv' => "sourcedId,status,classSourcedId,userSourcedId,role\ne1,,c1,p1,student\ne2,,c1,p2,student\n",
    ];

    protected function setUp(): void
    {
        parent::setUp();
        $this->as($this->world->teacher);
    }

    public function testAPreviewChangesNothingAndTakingDoesWhatItShowed(): void
    {
        $shown = $this->get('POST', '/classes/from-files/preview', self::files(self::FILES));
        self::assertSame([['8 Curlew'], 3], [$shown->column('classes', 'name'), $shown->int('changes')]);
        self::assertNotContains('8 Curlew', $this->get('GET', '/classes')->column('classes', 'name'));

        $taken = $this->get('POST', '/classes/from-files', self::files(self::FILES));
        self::assertSame($shown->at(''), $taken->at(''));
        $curlew = $this->theClass('8 Curlew');
        self::assertSame(['Ada Okafor', 'Dee Fox'], $this->get('GET', "/classes/$curlew")->column('students', 'name'));
        self::assertSame([$this->world->teacher->id], $this->get('GET', "/classes/$curlew")->map('teachers'));
        self::assertCount(2, $this->get('POST', "/classes/$curlew/slips")->list('slips'), 'each has a PIN');

        $again = $this->get('POST', '/classes/from-files', self::files(self::FILES));
        self::assertSame([0, 2], [$again->int('changes'), $again->int('classes.0.here')]);
        self::assertCount(2, $this->get('GET', "/classes/$curlew")->list('students'));
    }

    public function testAClassOfBeforeIsFoundByItsNameAndKeepsItsStudentsAndWork(): void
    {
        $name = $this->get('GET', '/classes/'.$this->world->classId)->text('name');
        $files = ['classes.csv' => "sourcedId,title\nc1,$name\n"] + self::FILES;
        $this->get('POST', '/classes/from-files', self::files($files));
        $roster = $this->get('GET', '/classes/'.$this->world->classId);
        self::assertSame(['Ada Okafor', 'Benoît Larsen', 'Cleo Marsh', 'Dee Fox'], $roster->column('students', 'name'));
        self::assertContains($this->world->students['Ada Okafor']->id, $roster->column('students', 'id'), 'Ada is who she was');

        $renamed = ['users.csv' => "sourcedId,givenName,familyName\np1,Ada,Lind\n"];
        self::assertSame('Ada Okafor', $this->get('POST', '/classes/from-files', self::files($renamed))->text('renames.0.was'));
        self::assertContains('Ada Lind', $this->get('GET', '/classes/'.$this->world->classId)->column('students', 'name'));
    }

    public function testWhoLeavesTheSchoolLeavesTheirClassesAndIsSignedOut(): void
    {
        $name = $this->get('GET', '/classes/'.$this->world->classId)->text('name');
        $this->get('POST', '/classes/from-files', self::files(['classes.csv' => "sourcedId,title\nc1,$name\n"] + self::FILES));
        $this->as($this->world->students['Ada Okafor'])->get('GET', '/me');
        $left = ['users.csv' => "sourcedId,status,givenName,familyName\np1,tobedeleted,Ada,Okafor\n"];
        self::assertSame(['Ada Okafor'], $this->as($this->world->teacher)->get('POST', '/classes/from-files', self::files($left))->map('gone'));
        self::assertSame(['Ada Okafor'], $this->get('GET', '/classes/'.$this->world->classId)->column('left', 'name'));
        $this->as($this->world->students['Ada Okafor'])->refused(401, 'GET', '/me');
    }

    public function testWhoComesInIsHandedWhatTheClassHasOpen(): void
    {
        $handout = $this->world->handOut();
        $name = $this->get('GET', '/classes/'.$this->world->classId)->text('name');
        $this->get('POST', '/classes/from-files', self::files(['classes.csv' => "sourcedId,title\nc1,$name\n"] + self::FILES));
        self::assertContains('Dee Fox', $this->get('GET', "/handouts/$handout/lookout")->column('rows', 'name'));
    }

    public function testWhatIsLeftOutByHandIsLeftOut(): void
    {
        $files = ['classes.csv' => self::FILES['classes.csv']."c2,,8 Godwit\n"] + self::FILES;
        $this->get('POST', '/classes/from-files', ['skip' => ['c1']] + self::files($files));
        $names = $this->get('GET', '/classes')->column('classes', 'name');
        self::assertSame([false, true], [in_array('8 Curlew', $names, true), in_array('8 Godwit', $names, true)]);
    }

    public function testAnArchiveIsUnpackedAndBrokenOnesSaySo(): void
    {
        $packed = self::zip(['export/Users.csv' => self::FILES['users.csv'], 'export/classes.csv' => self::FILES['classes.csv'],
            'export/enrollments.csv' => self::FILES['enrollments.csv'], 'export/demographics.csv' => 'private']);
        $shown = $this->get('POST', '/classes/from-files/preview', self::files(['school.zip' => $packed]));
        self::assertSame([3, ['demographics.csv']], [$shown->int('changes'), $shown->map('others')]);

        $said = fn (array $files): string => $this->refused(422, 'POST', '/classes/from-files/preview', $files)->text('detail');
        self::assertSame('school.zip is a broken archive.', $said(self::files(['school.zip' => "PK\x03\x04nothing"])));
        self::assertSame('None of these is users.csv, classes.csv or enrollments.csv.', $said(self::files(['names.csv' => 'Ada'])));
        self::assertStringContainsString('more than is read at once', $said(self::files(['big.zip' => self::zip(['users.csv' => str_repeat('a', 9_000_000)])])));
        self::assertStringContainsString('did not arrive whole', $said(['files' => [['name' => 'users.csv', 'data' => '*']]]));
        self::assertStringContainsString('Choose the files first', $said(['files' => []]));
    }

    public function testOfFilesThatCannotBeReadNothingIsTaken(): void
    {
        $files = ['enrollments.csv' => "classSourcedId,role\nc1,student\n"] + self::FILES;
        $fault = 'enrollments.csv:1:1: the column “userSourcedId” is missing';
        self::assertSame([$fault], $this->get('POST', '/classes/from-files/preview', self::files($files))->map('faults'));
        self::assertSame($fault, $this->refused(422, 'POST', '/classes/from-files', self::files($files))->text('detail'));
        self::assertNotContains('8 Curlew', $this->get('GET', '/classes')->column('classes', 'name'));
    }

    public function testAnotherTeamsClassesAreNeitherFoundNorTouched(): void
    {
        $this->get('POST', '/classes/from-files', self::files(self::FILES));
        $this->as($this->world->stranger)->get('POST', '/classes/from-files', self::files(self::FILES));
        self::assertContains('8 Curlew', $this->get('GET', '/classes')->column('classes', 'name'));
        $curlew = $this->as($this->world->teacher)->theClass('8 Curlew');
        self::assertCount(2, $this->get('GET', "/classes/$curlew")->list('students'));
    }

    private function theClass(string $name): string
    {
        foreach ($this->get('GET', '/classes')->list('classes') as $class) {
            if ($class->text('name') === $name) {
                return $class->text('id');
            }
        }
        self::fail("There is no $name.");
    }

    /**
     * @param array<string, string> $files
     *
     * @return array{files: list<array{name: string, data: string}>}
     */
    private static function files(array $files): array
    {
        return ['files' => array_map(
            static fn (string $name, string $text): array => ['name' => $name, 'data' => base64_encode($text)],
            array_keys($files),
            $files,
        )];
    }

    /** @param array<string, string> $parts */
    private static function zip(array $parts): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'test');
        $archive = new \ZipArchive();
        $archive->open($path, \ZipArchive::CREATE | \ZipArchive::OVERWRITE);
        foreach ($parts as $name => $text) {
            $archive->addFromString($name, $text);
        }
        $archive->close();
        $bytes = (string) file_get_contents($path);
        unlink($path);

        return $bytes;
    }
}
