<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Bank;

use ChalkLadder\Server\Tests\ApiCase;

/** Acts on several questions: done to all or to none, and taken back. */
final class ManyQuestionsTest extends ApiCase
{
    /** @return array{string, string} */
    private function two(): array
    {
        $this->as($this->world->teacher);

        return [$this->world->items['choice'], $this->world->items['text']];
    }

    private function total(string $query = ''): int
    {
        return $this->get('GET', "/items$query")->int('total');
    }

    public function testArchivedOnesLeaveTheListAndComeBack(): void
    {
        $ids = $this->two();
        $before = $this->total();
        $this->get('POST', '/items/many/archive', ['ids' => $ids]);
        self::assertSame([$before - 2, 2], [$this->total(), $this->total('?archived=1')]);
        $this->get('POST', '/items/many/archive', ['ids' => $ids]);
        $this->get('POST', '/items/many/restore', ['ids' => [...$ids, $ids[0]]]);
        self::assertSame([$before, 0], [$this->total(), $this->total('?archived=1')]);
    }

    public function testNoneIsTouchedWhereOneIsNotTheTeams(): void
    {
        $ids = $this->two();
        $before = $this->total();
        $strange = '0190a0a0-0000-7000-8000-000000000000';
        foreach (['archive', 'restore', 'copy'] as $act) {
            $this->refused(404, 'POST', "/items/many/$act", ['ids' => [...$ids, $strange]] + ($act === 'copy' ? ['requestId' => $strange] : []));
        }
        $this->refused(404, 'POST', '/items/many/skills', ['skills' => [$ids[0] => null, $strange => null]]);
        self::assertSame($before, $this->total());
        $this->refused(422, 'POST', '/items/many/archive', ['ids' => []]);
        foreach (['no id', ''] as $none) {
            $this->refused(422, 'POST', '/items/many/archive', ['ids' => [$none]]);
            $this->refused(404, 'POST', '/items/many/skills', ['skills' => [$none => null]]);
        }
        $this->refused(422, 'POST', '/items/many/archive', ['ids' => array_fill(0, 201, $ids[0])]);
    }

    public function testACopyIsAQuestionOfItsOwn(): void
    {
        $ids = $this->two();
        $request = ['ids' => [$ids[0]], 'requestId' => '0190a0a0-0000-7000-8000-00000000000d'];
        $made = $this->get('POST', '/items/many/copy', $request)->text('ids.0');
        self::assertSame($made, $this->get('POST', '/items/many/copy', $request)->text('ids.0'), 'asked twice, copied once');
        self::assertCount(1, $this->tables->rows('SELECT 1 FROM item WHERE request_id = :id', ['id' => $request['requestId']]));
        $copy = $this->get('GET', "/items/$made");
        self::assertSame(['A choice question (copy)', 1], [$copy->text('item.title'), $copy->int('version')]);
        self::assertSame($this->get('GET', "/items/$ids[0]")->text('item.prompt'), $copy->text('item.prompt'));
        self::assertSame(0, $copy->int('record.students'), 'with no record yet');
    }

    public function testTheirSkillIsSetAtOnceAndTakenBack(): void
    {
        $ids = $this->two();
        $skill = $this->get('POST', '/bank/skills', ['name' => 'Soundings'])->text('id');
        $before = $this->get('POST', '/items/many/skills', ['skills' => [$ids[0] => $skill, $ids[1] => $skill]])->map('before');
        self::assertSame([null, null], [$before[$ids[0]], $before[$ids[1]]]);
        self::assertSame(2, $this->total("?skill=$skill"));
        self::assertSame(2, $this->get('GET', "/items/$ids[0]")->int('version'), 'kept as any change is');
        $this->get('POST', '/items/many/skills', ['skills' => [strtoupper($ids[0]) => $skill]]);
        self::assertSame(2, $this->get('GET', "/items/$ids[0]")->int('version'), 'what stays as it is makes no version');
        $this->get('POST', '/items/many/skills', ['skills' => $before]);
        self::assertSame(0, $this->total("?skill=$skill"));
        $theirs = $this->as($this->world->stranger)->get('POST', '/bank/skills', ['name' => 'Theirs'])->text('id');
        $this->two();
        self::assertSame(
            'This skill is not one of the team’s.',
            $this->refused(422, 'POST', '/items/many/skills', ['skills' => [$ids[0] => $theirs]])->text('fields.skills'),
        );
    }
}
