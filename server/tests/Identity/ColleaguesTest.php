<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Identity;

use ChalkLadder\Server\Tests\ApiCase;

final class ColleaguesTest extends ApiCase
{
    private const WREN = [
        'name' => ' Wren Hollis ', 'email' => ' Wren@Test.example', 'role' => 'marker', 'current' => 'a long password', 'new' => 'neap tides 1',
    ];
    private const SIGN_IN = ['email' => 'wren@test.example', 'password' => 'neap tides 1'];

    public function testAColleagueIsTakenInAndSignsInWithTheFirstPassword(): void
    {
        $this->as($this->world->lead)->ask('POST', '/account/colleagues', self::WREN);
        self::assertSame('marker', $this->colleague('Wren Hollis', 'role'));
        self::assertSame('marker', $this->as(null)->get('POST', '/session', self::SIGN_IN)->text('staff.role'));
        $this->refused(403, 'GET', '/classes');
    }

    public function testNobodyIsTakenInTwiceNorWithoutTheLeadsPassword(): void
    {
        $this->as($this->world->lead);
        $wrong = $this->refused(422, 'POST', '/account/colleagues', ['current' => 'another password'] + self::WREN);
        self::assertSame(['current'], array_keys($wrong->map('fields')));
        self::assertSame('', $this->colleague('Wren Hollis', 'role'));
        $taken = ['email' => 'stranger@test.example'] + self::WREN;
        self::assertSame('This address has an account already.', $this->refused(422, 'POST', '/account/colleagues', $taken)->text('fields.email'));
        foreach (['email' => 'no address', 'role' => 'owner', 'new' => 'short', 'name' => '  '] as $field => $bad) {
            $refusal = $this->refused(422, 'POST', '/account/colleagues', [$field => $bad] + self::WREN);
            self::assertSame([$field], array_keys($refusal->map('fields')));
        }
    }

    public function testWhoLeavesIsSignedOutEverywhereAndComesBackAsTheyWere(): void
    {
        $this->as($this->world->lead)->ask('POST', '/account/colleagues', ['role' => 'teacher'] + self::WREN);
        $id = $this->colleague('Wren Hollis', 'id');
        $this->as(null)->get('POST', '/session', self::SIGN_IN);
        $class = $this->get('POST', '/classes', ['name' => '9 Skua'])->text('id');
        $wren = $this->browser->getCookieJar()->all();

        $this->as($this->world->lead)->ask('DELETE', "/account/colleagues/$id");
        $this->browser->getCookieJar()->clear();
        foreach ($wren as $cookie) {
            $this->browser->getCookieJar()->set($cookie);
        }
        $this->refused(401, 'GET', '/classes');
        $this->as(null)->refused(422, 'POST', '/session', self::SIGN_IN);
        $roster = $this->as($this->world->lead)->get('GET', "/classes/$class");
        self::assertSame([['Lead', 'Teacher'], []], [$roster->column('staff', 'name'), $roster->list('teachers')]);
        self::assertSame('', $this->get('GET', '/classes')->text('classes.1.teachers'));
        $again = $this->refused(422, 'POST', '/account/colleagues', self::WREN)->text('fields.email');
        self::assertSame('They have been in this team: take them back in the list of colleagues.', $again);

        $this->ask('POST', "/account/colleagues/$id/return");
        self::assertSame([$id], $this->get('GET', "/classes/$class")->at('teachers'), 'theirs again');
        self::assertSame('teacher', $this->as(null)->get('POST', '/session', self::SIGN_IN)->text('staff.role'));
    }

    public function testARoleHoldsFromTheNextRequestOn(): void
    {
        $this->as($this->world->lead)->ask('PUT', '/account/colleagues/'.$this->world->teacher->id.'/role', ['role' => 'marker']);
        $this->as($this->world->teacher)->refused(403, 'GET', '/classes');
        $this->as($this->world->lead)->ask('PUT', '/account/colleagues/'.$this->world->teacher->id.'/role', ['role' => 'lead']);
        $this->as($this->world->teacher)->get('GET', '/classes');
        $this->refused(422, 'PUT', '/account/colleagues/'.$this->world->lead->id.'/role', ['role' => 'owner']);
    }

    public function testALeadDoesNothingToThemselvesSoThatThereIsAlwaysOne(): void
    {
        $own = '/account/colleagues/'.$this->world->lead->id;
        $this->as($this->world->lead)->refused(409, 'DELETE', $own);
        $this->refused(409, 'PUT', "$own/role", ['role' => 'teacher']);
        self::assertSame(['took into the team'], $this->did('POST', '/account/colleagues', self::WREN));
    }

    /**
     * @param array<string, mixed> $body
     *
     * @return list<mixed> what the trail says first
     */
    private function did(string $method, string $path, array $body): array
    {
        $this->ask($method, $path, $body);

        return array_slice($this->get('GET', '/trail')->column('lines', 'did'), 0, 1);
    }

    private function colleague(string $name, string $what): string
    {
        $list = $this->as($this->world->lead)->get('GET', '/account');

        $at = array_search($name, $list->column('colleagues', 'name'), true);

        return $at === false ? '' : $list->text("colleagues.$at.$what");
    }
}
