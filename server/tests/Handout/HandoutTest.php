<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Handout;

use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Uid\Uuid;

final class HandoutTest extends ApiCase
{
    public function testSomeOfAClassAreLeftOutAndStayOutWhenSomebodyJoinsIt(): void
    {
        $ada = $this->world->students['Ada Okafor']->id;
        $id = $this->as($this->world->teacher)->get('POST', '/handouts', [
            'editionId' => $this->world->editionId, 'classes' => [$this->world->classId], 'without' => [$ada],
            'requestId' => '0190a0a0-0000-7000-8000-0000000000b9',
        ])->text('id');
        $names = fn (): array => $this->as($this->world->teacher)->get('GET', "/handouts/$id/lookout")->column('rows', 'name');
        self::assertSame(['Benoît Larsen', 'Cleo Marsh'], $names());
        $this->get('POST', '/classes/'.$this->world->classId.'/roster', ['text' => 'Dee Fox']);
        self::assertSame(['Benoît Larsen', 'Cleo Marsh', 'Dee Fox'], $names());
        $this->as($this->world->students['Ada Okafor'])->refused(404, 'POST', "/me/handouts/$id/open");
    }

    public function testAHandoutSaysWhoIsExpectedAndHowFarTheyAre(): void
    {
        $handout = $this->handOut();
        $this->world->sit(
            'Ada Okafor',
            $handout->text('id'),
            ['e-choice' => ['options' => ['a']], 'e-open' => ['text' => 'The moon pulls.']],
        );
        $this->world->sit('Benoît Larsen', $handout->text('id'), ['e-choice' => ['options' => ['a']]]);
        $this->as($this->world->students['Cleo Marsh'])->get('POST', '/me/handouts/'.$handout->text('id').'/open');
        $now = $this->as($this->world->teacher)->get('GET', '/handouts')->list('handouts')[0];

        self::assertSame(
            [3, 1, 2, 0, 1],
            [$now->int('expected'), $now->int('open'), $now->int('handedIn'), $now->int('returned'), $now->int('waiting')],
        );
        self::assertSame(['8 Kestrel'], $now->at('classes'));
        self::assertSame('open', $now->text('status'));
    }

    public function testSingleStudentsGetWorkThatTheirClassDoesNot(): void
    {
        $cleo = $this->world->students['Cleo Marsh'];
        self::assertSame(1, $this->handOut(['classes' => [], 'students' => [$cleo->id]])->int('expected'));
        self::assertSame(3, $this->handOut(['students' => [$cleo->id]])->int('expected'), 'nobody is counted twice');
        self::assertCount(2, $this->as($cleo)->get('GET', '/me/work')->list('handouts'));
        self::assertCount(1, $this->as($this->world->students['Ada Okafor'])->get('GET', '/me/work')->list('handouts'));
    }

    public function testHiddenWorkIsNotThereForStudentsUntilItIsShown(): void
    {
        $handout = $this->handOut(['visible' => false]);
        self::assertSame('hidden', $handout->text('status'));
        $path = '/handouts/'.$handout->text('id');
        $ada = $this->world->students['Ada Okafor'];
        self::assertSame([], $this->as($ada)->get('GET', '/me/work')->at('handouts'));
        $this->refused(404, 'POST', "/me$path/open");
        self::assertSame('open', $this->as($this->world->teacher)->get('PUT', $path, ['visible' => true])->text('status'));
        $this->as($ada)->get('POST', "/me$path/open");
    }

    public function testAWindowOpensAndCloses(): void
    {
        $soon = self::moment('+1 hour');
        $later = self::moment('+2 hours');
        $handout = $this->handOut(['opensAt' => $soon, 'closesAt' => $later]);
        $path = '/handouts/'.$handout->text('id');
        self::assertSame(['scheduled', $soon, $later], [$handout->at('status'), $handout->at('opensAt'), $handout->at('closesAt')]);
        $ada = $this->world->students['Ada Okafor'];
        self::assertSame('scheduled', $this->as($ada)->get('GET', '/me/work')->text('handouts.0.status'));
        $this->refused(409, 'POST', "/me$path/open");

        $this->as($this->world->teacher)->get(
            'PUT',
            $path,
            ['visible' => true, 'opensAt' => self::moment('-2 hours'), 'closesAt' => self::moment('-1 hour')],
        );
        self::assertSame('closed', $this->get('GET', $path)->text('status'));
        self::assertSame('missed', $this->as($ada)->get('GET', '/me/work')->text('handouts.0.status'));
        self::assertSame('This work is closed.', $this->refused(409, 'POST', "/me$path/open")->text('title'));

        self::assertSame(
            'open',
            $this->as($this->world->teacher)->get('POST', "$path/reopen")->text('status'),
            'opening again drops a window that has passed',
        );
        $this->as($ada)->get('POST', "/me$path/open");
    }

    public function testOneAttemptAfterAnotherUntilTheLastIsUsed(): void
    {
        $handout = $this->world->handOut(['attempts' => 2, 'counts' => 'latest']);
        $ada = $this->as($this->world->students['Ada Okafor']);
        $first = $this->world->sit('Ada Okafor', $handout, ['e-choice' => ['options' => ['a']]]);
        $second = $this->world->sit('Ada Okafor', $handout, ['e-choice' => ['options' => ['b']]]);
        self::assertNotSame($first, $second);
        $work = $ada->get('GET', '/me/work');
        self::assertSame(
            [2, 2, false],
            [$work->at('handouts.0.attempt'), $work->at('handouts.0.attempts'), $work->at('handouts.0.mayOpen')],
        );
        self::assertSame('You have used every attempt.', $this->refused(409, 'POST', "/me/handouts/$handout/open")->text('title'));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function faults(): iterable
    {
        yield 'no class' => [['classes' => []], 'classes'];
        yield 'a class of nobody' => [['classes' => ['01900000-0000-7000-8000-000000000000']], 'classes'];
        yield 'a student of nobody' => [['students' => ['01900000-0000-7000-8000-000000000000']], 'students'];
        yield 'no paper' => [['editionId' => ''], 'editionId'];
        yield 'a paper of nobody' => [['editionId' => '01900000-0000-7000-8000-000000000000'], 'editionId'];
        yield 'not a moment' => [['opensAt' => 'tomorrow'], 'opensAt'];
        yield 'closes before it opens' => [['opensAt' => '2031-01-02T00:00:00.000Z', 'closesAt' => '2031-01-01T00:00:00.000Z'], 'closesAt'];
        yield 'too many attempts' => [['conditions' => ['attempts' => 21]], 'conditions.attempts'];
        yield 'an unknown condition' => [['conditions' => ['timer' => 3]], 'conditions.timer'];
        yield 'an order on a page' => [['conditions' => ['wholePage' => true, 'inOrder' => true]], 'conditions.inOrder'];
        yield 'a moment that is none' => [['conditions' => ['feedback' => ['key' => 'soon']]], 'conditions.feedback.key'];
        yield 'an unknown rule' => [['conditions' => ['counts' => 'luckiest']], 'conditions.counts'];
    }

    /** @param array<string, mixed> $change */
    #[DataProvider('faults')]
    public function testFaultsAreNamedAtTheirField(array $change, string $field): void
    {
        $this->as($this->world->teacher);
        self::assertArrayHasKey($field, $this->refused(422, 'POST', '/handouts', $change + $this->body())->map('fields'));
        self::assertNull($this->tables->row('SELECT 1 FROM handout'));
    }

    public function testAnotherTeamsClassesAndStudentsCannotBeHandedTo(): void
    {
        $this->as($this->world->stranger)->refused(422, 'POST', '/handouts', $this->body());
        $theirs = $this->get('POST', '/classes', ['name' => '8 Other'])->text('id');
        $this->get('POST', "/classes/$theirs/roster", ['text' => 'Zed Stone']);
        $zed = $this->get('GET', "/classes/$theirs")->text('students.0.id');
        $this->as($this->world->teacher);
        $this->refused(422, 'POST', '/handouts', ['classes' => [$theirs]] + $this->body());
        $this->refused(422, 'POST', '/handouts', ['students' => [$zed]] + $this->body());
    }

    public function testWhoeverJoinsTheClassIsHandedWhatItHasOpen(): void
    {
        $open = $this->world->handOut();
        $closed = $this->world->handOut();
        $this->as($this->world->teacher)->get('POST', "/handouts/$closed/close");
        $this->get('POST', '/classes/'.$this->world->classId.'/roster', ['text' => 'Dee Fox']);
        self::assertSame(4, $this->get('GET', "/handouts/$open")->int('expected'));
        self::assertSame(3, $this->get('GET', "/handouts/$closed")->int('expected'));
    }

    /** @param array<string, mixed> $change */
    private function handOut(array $change = []): Json
    {
        return $this->as($this->world->teacher)->get('POST', '/handouts', $change + $this->body());
    }

    /** @return array<string, mixed> */
    private function body(): array
    {
        return [
            'editionId' => $this->world->editionId,
            'classes' => [$this->world->classId],
            'students' => [],
            'conditions' => (object) [],
            'visible' => true,
            'requestId' => Uuid::v7()->toRfc4122(),
        ];
    }

    private static function moment(string $when): string
    {
        return (new \DateTimeImmutable($when, new \DateTimeZone('UTC')))->format('Y-m-d\TH:i:s.000\Z');
    }
}
