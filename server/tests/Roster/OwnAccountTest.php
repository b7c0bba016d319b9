<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Roster;

use ChalkLadder\Server\Roster\Erasing;
use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;

/** A name and a password that a student takes for themselves. */
final class OwnAccountTest extends ApiCase
{
    private const NAME = 'Oar.and-Keel';
    private const PASSWORD = 'low water 1';

    private string $ada;
    private string $classId;

    protected function setUp(): void
    {
        parent::setUp();
        $this->ada = $this->world->students['Ada Okafor']->id;
        $this->classId = $this->world->classId;
    }

    public function testBringsThemInWithoutClassCodeAndTheSlipGoesOnToDoSo(): void
    {
        self::assertNull($this->as($this->world->students['Ada Okafor'])->get('GET', '/me/account')->at('account'));
        $pin = $this->take();
        self::assertSame('oar.and-keel', $this->get('GET', '/me/account')->text('account'));
        foreach ([self::NAME, ' OAR.AND-KEEL ', 'oar.and-keel'] as $typed) {
            $this->as(null);
            self::assertSame('Ada Okafor', $this->by($typed)->text('name'));
            self::assertSame($this->ada, $this->get('GET', '/me')->text('id'));
        }
        $code = $this->as($this->world->teacher)->get('GET', "/classes/{$this->classId}");
        self::assertSame([true, false, false], $code->column('students', 'account'));
        $slip = ['code' => $code->text('code'), 'name' => 'Ada Okafor', 'pin' => $pin];
        self::assertSame($this->ada, $this->as(null)->get('POST', '/join', $slip)->text('id'));
    }

    public function testWrongNameAndWrongPasswordLookTheSame(): void
    {
        $this->take();
        $this->as(null);
        $wrong = $this->refused(422, 'POST', '/join/account', ['account' => self::NAME, 'password' => 'LOW WATER 1']);
        $nobody = $this->refused(422, 'POST', '/join/account', ['account' => 'nobody', 'password' => self::PASSWORD]);
        self::assertSame($wrong->map(''), $nobody->map(''));
        for ($i = 0; $i < 5; ++$i) {
            $this->ask('POST', '/join/account', ['account' => strtolower(self::NAME), 'password' => "guess $i"]);
        }
        $this->refused(429, 'POST', '/join/account', ['account' => self::NAME, 'password' => self::PASSWORD]);
    }

    public function testWhoHasTheDeviceButNotTheSlipTakesNone(): void
    {
        $this->as($this->world->students['Ada Okafor']);
        $asked = ['account' => self::NAME, 'password' => self::PASSWORD];
        foreach ([['pin' => '1'], ['pin' => ''], ['pictures' => ['boat', 'boat', 'boat']]] as $secret) {
            self::assertStringContainsString('on your slip', $this->refused(422, 'PUT', '/me/account', $asked + $secret)->text('fields.pin'));
        }
        self::assertNull($this->get('GET', '/me/account')->at('account'));
    }

    public function testANameIsOnesOwnAndReadable(): void
    {
        $this->take();
        $pin = $this->pin('Benoît Larsen');
        $this->as($this->world->students['Benoît Larsen']);
        $body = ['account' => 'OAR.AND-KEEL', 'password' => self::PASSWORD, 'pin' => $pin];
        self::assertStringContainsString('Somebody else', $this->refused(422, 'PUT', '/me/account', $body)->text('fields.account'));
        foreach (['', 'ab', 'two words', "x\ny z", str_repeat('a', 61), 'a<b>c'] as $name) {
            $this->refused(422, 'PUT', '/me/account', ['account' => $name] + $body);
        }
        self::assertSame('Take at least 8 characters.', $this->refused(422, 'PUT', '/me/account', ['password' => '7 chars'] + $body)->text('fields.password'));
        self::assertNull($this->get('GET', '/me/account')->at('account'));
    }

    public function testANewPasswordSignsEveryOtherDeviceOutAndTheOldOneNoLongerWorks(): void
    {
        $pin = $this->take();
        $here = $this->browser->getCookieJar()->all()[0];
        $this->as(null)->by(self::NAME);
        $this->get('PUT', '/me/account', ['account' => 'keel', 'password' => 'high water 2', 'pin' => $pin]);
        self::assertSame($this->ada, $this->get('GET', '/me')->text('id'), 'this device stays');
        $this->browser->getCookieJar()->clear();
        $this->browser->getCookieJar()->set($here);
        $this->refused(401, 'GET', '/me');
        $this->as(null)->refused(422, 'POST', '/join/account', ['account' => self::NAME, 'password' => self::PASSWORD]);
        self::assertSame($this->ada, $this->get('POST', '/join/account', ['account' => 'keel', 'password' => 'high water 2'])->text('id'));
    }

    public function testIsClosedByTheStudentByANewPinAndByErasing(): void
    {
        foreach ([
            fn () => $this->as($this->world->students['Ada Okafor'])->get('DELETE', '/me/account'),
            fn () => $this->pin('Ada Okafor'),
            fn () => self::service(Erasing::class)->erase($this->world->teacher->teamId, $this->ada),
        ] as $close) {
            $this->take();
            $close();
            $this->as(null)->refused(422, 'POST', '/join/account', ['account' => self::NAME, 'password' => self::PASSWORD]);
        }
        self::assertNull($this->tables->row('SELECT 1 FROM student WHERE account_name IS NOT NULL OR account_hash IS NOT NULL'));
    }

    public function testLeadsNowhereOffTheRosterAndFromADoubleToWhoItIs(): void
    {
        $this->take();
        $this->as($this->world->teacher)->get('DELETE', "/classes/{$this->classId}/students/{$this->ada}");
        $this->as(null)->refused(422, 'POST', '/join/account', ['account' => self::NAME, 'password' => self::PASSWORD]);
        $this->as($this->world->teacher)->get('POST', "/classes/{$this->classId}/students/{$this->ada}/return");
        $other = $this->world->students['Cleo Marsh']->id;
        $merge = ['id' => '0190a0a0-0000-7000-8000-00000000a001', 'into' => $other];
        $this->get('POST', "/students/{$this->ada}/merge", $merge);
        self::assertSame($other, $this->as(null)->by(self::NAME)->text('id'));
        $this->as($this->world->teacher)->get('DELETE', '/merges/'.$merge['id']);
        self::assertSame($this->ada, $this->as(null)->by(self::NAME)->text('id'));
    }

    /** @return string Ada's PIN, by which she has taken an account */
    private function take(): string
    {
        $pin = $this->pin('Ada Okafor');
        $this->as($this->world->students['Ada Okafor'])
            ->get('PUT', '/me/account', ['account' => self::NAME, 'password' => self::PASSWORD, 'pin' => $pin]);

        return $pin;
    }

    private function pin(string $name): string
    {
        return $this->as($this->world->teacher)
            ->get('POST', "/classes/{$this->classId}/students/{$this->world->students[$name]->id}/pin")->text('pin');
    }

    private function by(string $name): Json
    {
        return $this->get('POST', '/join/account', ['account' => $name, 'password' => self::PASSWORD]);
    }
}
