<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Regroup;

use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;
use Symfony\Component\Uid\Uuid;

final class RegroupTest extends ApiCase
{
    private string $handout;

    protected function setUp(): void
    {
        parent::setUp();
        $this->handout = $this->world->handOut();
        $this->world->sit(
            'Ada Okafor',
            $this->handout,
            ['e-choice' => ['options' => ['a']], 'e-text' => ['text' => 'SECRETROCK'], 'e-number' => ['text' => '98.76 m']],
        );
        $this->world->sit('Benoît Larsen', $this->handout, ['e-choice' => ['options' => ['b']], 'e-number' => ['text' => '12.34']]);
        $this->as($this->world->teacher);
    }

    public function testStudentsAreGroupedByWhatTheyShowedAndEachReasonIsSaid(): void
    {
        $byRung = $this->get('GET', "/handouts/$this->handout/groups");
        $names = array_merge(...array_map(static fn (Json $g): array => $g->column('members', 'name'), $byRung->list('groups')));
        self::assertEqualsCanonicalizing(['Ada Okafor', 'Benoît Larsen'], $names);

        $alone = $this->get('GET', "/handouts/$this->handout/groups?by=misconception");
        self::assertSame(['No shared misconception'], $alone->column('groups', 'name'), 'one student is no group');

        $all = $this->world->handOut();
        foreach (array_keys($this->world->students) as $name) {
            $this->world->sit($name, $all, ['e-choice' => ['options' => ['b']], 'e-number' => ['text' => '12.34']]);
        }
        $byIdea = $this->get('GET', "/handouts/$all/groups?by=misconception");
        self::assertSame('SECRET idea', $byIdea->text('groups.0.name'));
        self::assertSame($this->world->idea, $byIdea->text('groups.0.about'));
        self::assertCount(3, $byIdea->list('groups.0.members'));
        self::assertStringContainsString('2 of 2', $byIdea->text('groups.0.members.0.reason'));
        self::assertEqualsWithDelta(0.5, $byIdea->at('groups.0.members.0.rate.value'), 1e-12);
        self::assertSame(2, $byIdea->int('groups.0.members.0.rate.n'));
        self::assertNull($byRung->at('groups.0.members.0.rate'), 'a rung is about no idea');
    }

    public function testGroupsAreFormedByAPlanAndKeepWhatTheyCan(): void
    {
        $this->world->sit('Cleo Marsh', $this->handout, ['e-choice' => ['options' => ['a']]]);
        $this->as($this->world->teacher);
        $id = array_map(static fn ($s): string => $s->id, $this->world->students);
        $plan = ['aim' => 'alike', 'groups' => 2, 'least' => 1, 'most' => 2];
        $formed = $this->get('POST', "/handouts/$this->handout/groups", $plan);
        self::assertSame([[], null, 'less'], [$formed->at('fit.broken'), $formed->at('fit.clash'), $formed->at('fit.better')]);
        self::assertEqualsWithDelta($formed->at('fit.bound'), $formed->at('fit.value'), 1e-9, 'nothing stands in the way of the best');
        self::assertStringContainsString('of the marks; this group has about', $formed->text('groups.0.members.0.reason'));

        $weak = ['apart' => [[$id['Benoît Larsen'], $id['Cleo Marsh']]], 'together' => [[$id['Ada Okafor'], $id['Benoît Larsen']]]];
        $kept = $this->get('POST', "/handouts/$this->handout/groups", $weak + $plan);
        self::assertSame([], $kept->at('fit.broken'));
        self::assertGreaterThan($formed->at('fit.value'), $kept->at('fit.value'));

        $byHand = $this->get(
            'POST',
            "/handouts/$this->handout/groups",
            ['fixed' => [$id['Ada Okafor'] => 0, $id['Benoît Larsen'] => 0, $id['Cleo Marsh'] => 0]] + $plan,
        );
        self::assertStringContainsString(
            'Group 1 has 3 students, more than 2.',
            implode(' ', array_filter($byHand->map('fit.broken'), is_string(...))),
        );
        $clash = $this->get(
            'POST',
            "/handouts/$this->handout/groups",
            ['apart' => [[$id['Ada Okafor'], $id['Cleo Marsh']]], 'groups' => 1] + ['aim' => 'mixed', 'least' => 1],
        );
        self::assertSame(
            'Ada Okafor and Cleo Marsh are to be apart from each other: that needs 2 groups, and there is 1.',
            $clash->text('fit.clash'),
        );
        self::assertNull($this->tables->row('SELECT 1 FROM grouping'), 'nothing is kept by asking');
    }

    public function testAMoveIsWeighedBeforeItIsMadeAndWhoIsAbsentIsTold(): void
    {
        $id = array_map(static fn ($s): string => $s->id, $this->world->students);
        $this->as($this->world->teacher);
        self::assertSame(['Cleo Marsh'], $this->get('GET', "/handouts/$this->handout/groups?by=rung")->column('absent', 'name'));

        $places = ['fixed' => [$id['Ada Okafor'] => 0, $id['Benoît Larsen'] => 1]];
        $plan = ['aim' => 'mixed', 'groups' => 2, 'least' => 1];
        $now = $this->get('POST', "/handouts/$this->handout/groups", ['consider' => $id['Ada Okafor']] + $places + $plan);
        $elsewhere = $now->map('fit.elsewhere');
        self::assertCount(2, $elsewhere);
        self::assertEqualsWithDelta($now->at('fit.value'), $elsewhere[0], 1e-12, 'where Ada is, nothing changes');
        self::assertEqualsWithDelta(0.0, $elsewhere[1], 1e-12, 'all in one group are mixed like the whole');
        $moved = $this->get('POST', "/handouts/$this->handout/groups", ['fixed' => [$id['Ada Okafor'] => 1] + $places['fixed']] + $plan);
        self::assertEqualsWithDelta($elsewhere[1], $moved->at('fit.value'), 1e-12, 'and it comes as it was said');
        self::assertArrayHasKey(
            'consider',
            $this->refused(422, 'POST', "/handouts/$this->handout/groups", ['consider' => $id['Ada Okafor']] + $plan)->map('fields'),
        );
    }

    public function testAPlanWithFaultsIsRefusedAtItsField(): void
    {
        $stranger = '01900000-0000-7000-8000-000000000000';
        $ada = $this->world->students['Ada Okafor']->id;
        foreach ([
            ['aim', ['aim' => 'best']],
            ['groups', ['groups' => 0]],
            ['apart[0]', ['apart' => [[$ada]]]],
            ['apart[0]', ['apart' => [[$ada, $ada]]]],
            ['apart', ['apart' => [[$ada, $stranger]]]],
            ['together', ['together' => [[$ada, $stranger]]]],
            ['fixed', ['fixed' => [$stranger => 0]]],
        ] as [$field, $body]) {
            $fields = array_keys($this->refused(422, 'POST', "/handouts/$this->handout/groups", $body)->map('fields'));
            self::assertStringStartsWith(substr($field, 0, 4), (string) ($fields[0] ?? ''), $field);
        }
    }

    public function testAKeptGroupingHandsEachGroupItsNextWorkOnce(): void
    {
        $kept = $this->keep('Ada Okafor', 'Benoît Larsen');
        $id = $kept->text('id');
        self::assertSame(['Monday'], $this->get('GET', '/groupings')->column('groupings', 'name'));

        $body = ['groups' => [[
            'groupId' => $kept->text('groups.1.id'),
            'editionId' => $this->world->editionId,
            'requestId' => Uuid::v7()->toRfc4122(),
        ]]];
        $this->get('POST', "/groupings/$id/follow-ups", $body);
        $twice = $this->get('POST', "/groupings/$id/follow-ups", $body);
        self::assertSame([], $twice->at('groups.0.handouts'));
        self::assertSame(['Heights of tide'], $twice->column('groups.1.handouts', 'title'), 'sent twice, handed out once');

        $this->as($this->world->students['Benoît Larsen']);
        self::assertCount(2, $this->get('GET', '/me/work')->list('handouts'));
        $this->as($this->world->students['Ada Okafor']);
        self::assertCount(1, $this->get('GET', '/me/work')->list('handouts'));

        // Taken back while nobody has begun, it was never there; afterwards work would be lost.
        $handed = $twice->text('groups.1.handouts.0.id');
        $this->as($this->world->teacher)->get('DELETE', "/handouts/$handed");
        self::assertSame([], $this->get('GET', "/groupings/$id")->at('groups.1.handouts'));
        self::assertSame('took back the handout', $this->get('GET', '/trail')->text('lines.0.did'));
        self::assertCount(1, $this->as($this->world->students['Benoît Larsen'])->get('GET', '/me/work')->list('handouts'));
        self::assertSame(
            'Somebody has begun this work.',
            $this->as($this->world->teacher)->refused(409, 'DELETE', "/handouts/$this->handout")->text('title'),
        );
    }

    public function testAFollowUpWhoseKeysAreOutIsSaid(): void
    {
        $id = $this->keep('Ada Okafor', 'Benoît Larsen')->text('id');
        self::assertSame([], $this->get('GET', "/groupings/$id")->list('keysOut'), 'nobody has been told anything');

        $this->tables->run("UPDATE sitting SET state = 'returned' WHERE handout_id = :id", ['id' => $this->handout]);
        $out = $this->get('GET', "/groupings/$id")->list('keysOut');
        self::assertSame([[$this->world->editionId, 4]], array_map(static fn ($o): array => [$o->text('editionId'), $o->int('questions')], $out));

        // Also where a student of the groups met them elsewhere.
        $elsewhere = $this->world->handOut();
        $this->world->sit('Ada Okafor', $elsewhere, []);
        $this->tables->run("UPDATE sitting SET state = 'returned' WHERE handout_id = :id", ['id' => $elsewhere]);
        $this->tables->run("UPDATE sitting SET state = 'handed in' WHERE handout_id = :id", ['id' => $this->handout]);
        self::assertSame([4], $this->get('GET', "/groupings/$id")->column('keysOut', 'questions'));
        $this->tables->run("UPDATE sitting SET state = 'handed in' WHERE handout_id = :id", ['id' => $elsewhere]);
        $this->tables->run("UPDATE sitting SET state = 'returned' WHERE handout_id = :id", ['id' => $this->handout]);

        $this->tables->run("UPDATE handout SET conditions = jsonb_set(conditions, '{feedback,key}', '\"never\"') WHERE id = :id", ['id' => $this->handout]);
        self::assertSame([], $this->get('GET', "/groupings/$id")->list('keysOut'), 'by this plan keys never go out');
    }

    public function testAStudentMovesInAKeptGroupingAndBackWithTheirReason(): void
    {
        $kept = $this->keep('Ada Okafor', 'Benoît Larsen');
        $id = $kept->text('id');
        $ada = $this->world->students['Ada Okafor']->id;
        $at = static fn (Json $g): array => array_map(
            static fn (Json $one): array => array_map(
                static fn (Json $m): array => [$m->text('name'), $m->text('reason')],
                $one->list('members'),
            ),
            $g->list('groups'),
        );

        $moved = $this->get('POST', "/groupings/$id/moves", ['studentId' => $ada, 'groupId' => $kept->text('groups.1.id')]);
        self::assertSame([[], [['Ada Okafor', 'Moved here by hand.'], ['Benoît Larsen', 'by hand']]], $at($moved));
        $line = $this->get('GET', '/trail')->list('lines')[0];
        self::assertSame(
            ['moved Ada Okafor in', 'Monday', 'to “With Benoît Larsen”'],
            array_map($line->at(...), ['did', 'subject', 'detail']),
        );
        $back = $this->get(
            'POST',
            "/groupings/$id/moves",
            ['studentId' => $ada, 'groupId' => $kept->text('groups.0.id'), 'reason' => 'by hand'],
        );
        self::assertSame($at($kept), $at($back));

        $other = $this->keep('Cleo Marsh');
        $this->refused(404, 'POST', "/groupings/$id/moves", ['studentId' => $ada, 'groupId' => $other->text('groups.0.id')]);
        $this->refused(
            404,
            'POST',
            "/groupings/$id/moves",
            ['studentId' => $this->world->students['Cleo Marsh']->id, 'groupId' => $kept->text('groups.0.id')],
        );
        self::assertSame(['studentId', 'groupId'], array_keys($this->refused(422, 'POST', "/groupings/$id/moves", [])->map('fields')));
        self::assertSame(
            ['studentId', 'groupId'],
            array_keys($this->refused(422, 'POST', "/groupings/$id/moves", ['studentId' => 'Ada', 'groupId' => '1'])->map('fields')),
        );
        self::assertSame($at($kept), $at($this->get('GET', "/groupings/$id")), 'groupings do not mix');
    }

    public function testAnArchivedGroupingLeavesTheListAndComesBack(): void
    {
        $kept = $this->keep('Ada Okafor');
        $id = $kept->text('id');
        $this->get(
            'POST',
            "/groupings/$id/follow-ups",
            ['groups' => [[
                'groupId' => $kept->text('groups.0.id'),
                'editionId' => $this->world->editionId,
                'requestId' => Uuid::v7()->toRfc4122(),
            ]]],
        );
        $this->get('DELETE', "/groupings/$id");
        self::assertSame([], $this->get('GET', '/groupings')->list('groupings'));
        self::assertCount(
            2,
            $this->as($this->world->students['Ada Okafor'])->get('GET', '/me/work')->list('handouts'),
            'what was handed out stays',
        );
        $line = $this->as($this->world->teacher)->get('GET', '/trail')->list('lines')[0];
        self::assertSame(['grouping', $id], [$line->at('undo.kind'), $line->at('undo.id')]);
        $this->get('POST', "/groupings/$id/restore");
        self::assertSame(['Monday'], $this->get('GET', '/groupings')->column('groupings', 'name'));
    }

    public function testNobodyStandsInTwoGroupsAndNoGroupingIsEmptyOrNameless(): void
    {
        $ada = ['studentId' => $this->world->students['Ada Okafor']->id, 'reason' => ''];
        $group = static fn (array ...$members): array => ['name' => 'A', 'members' => $members];
        $this->refused(
            422,
            'POST',
            "/handouts/$this->handout/groupings",
            ['name' => 'Twice', 'aim' => 'rung', 'groups' => [$group($ada), $group($ada)]],
        );
        $this->refused(
            422,
            'POST',
            "/handouts/$this->handout/groupings",
            ['name' => 'Unknown', 'aim' => 'rung', 'groups' => [$group(['studentId' => Uuid::v7()->toRfc4122(), 'reason' => ''])]],
        );
        $this->refused(422, 'POST', "/handouts/$this->handout/groupings", ['name' => ' ', 'aim' => 'rung', 'groups' => [$group($ada)]]);
        $this->refused(422, 'POST', "/handouts/$this->handout/groupings", ['name' => 'None', 'aim' => 'rung', 'groups' => []]);
        self::assertSame([], $this->get('GET', '/groupings')->list('groupings'), 'nothing is half stored');
    }

    public function testAnotherTeamFindsNothing(): void
    {
        $id = $this->keep('Ada Okafor')->text('id');
        $this->as($this->world->stranger);
        $this->refused(404, 'GET', "/groupings/$id");
        $this->refused(404, 'GET', "/handouts/$this->handout/groups");
        self::assertSame([], $this->get('GET', '/groupings')->list('groupings'));
    }

    private function keep(string ...$students): Json
    {
        $groups = array_map(
            fn (string $name): array => [
                'name' => "With $name",
                'members' => [['studentId' => $this->world->students[$name]->id, 'reason' => 'by hand']],
            ],
            $students,
        );

        return $this->get(
            'POST',
            "/handouts/$this->handout/groupings",
            ['name' => 'Monday', 'aim' => 'rung', 'groups' => array_values($groups)],
        );
    }
}
