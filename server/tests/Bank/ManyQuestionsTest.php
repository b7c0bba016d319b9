<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Bank;

use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;

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

    public function testTwoThatAreTheSameBecomeOneAndComeApartAgain(): void
    {
        $this->world->sit('Ada Okafor', $this->world->handOut(), ['e-choice' => ['options' => ['a']]]);
        [$choice, $text] = $this->two();
        $same = $this->get('POST', '/items/many/copy', ['ids' => [$choice], 'requestId' => '0190a0a0-0000-7000-8000-00000000000e'])->text('ids.0');
        $paper = '/papers/'.$this->world->paperId;
        $record = fn (string $id): array => [
            $this->get('GET', "/items/$id")->int('record.students'),
            array_map(static fn (Json $i): mixed => $i->at('facility'), array_values(array_filter(
                $this->get('GET', '/items')->list('items'),
                static fn (Json $i): bool => $i->text('id') === $id,
            ))),
        ];
        self::assertSame([0, [null]], $record($same));
        $before = $this->total();

        $this->get('PUT', "/items/$choice/part-of", ['into' => $same]);
        self::assertEquals([1, [1.0]], $record($same), 'what was answered to the other counts here');
        self::assertSame([$before - 1, 1], [$this->total(), $this->total('?archived=1')]);
        self::assertSame($same, $this->get('GET', $paper)->text('paper.sections.0.entries.0.item'));
        self::assertSame(
            $this->world->editionId,
            $this->get('GET', "/items/$same/uses")->list('uses') === [] ? '' : $this->get('GET', $paper)->text('editionId'),
            'also by class and edition',
        );
        foreach ([[$choice, $same], [$same, $choice], [$same, $same]] as [$one, $other]) {
            $this->refused(409, 'PUT', "/items/$one/part-of", ['into' => $other]);
        }
        $this->get('POST', '/items/many/restore', ['ids' => [$choice]]);
        self::assertSame([$choice, $text], $this->get('GET', $paper)->column('paper.sections.0.entries', 'item'));

        // A third takes in the two; the draft names it already, so that what came from where is not known there any more.
        $this->get('PUT', "/items/$choice/part-of", ['into' => $same]);
        $this->get('PUT', "/items/$same/part-of", ['into' => $text]);
        self::assertSame(1, $this->get('GET', "/items/$text")->int('record.students'));
        $this->get('POST', '/items/many/restore', ['ids' => [$same, $choice]]);
        self::assertEquals([1, [1.0]], $record($choice));
        self::assertSame([0, [null]], $record($same));
        self::assertSame($before, $this->total());
        self::assertSame([$text, $text], $this->get('GET', $paper)->column('paper.sections.0.entries', 'item'));
        $this->as($this->world->stranger)->refused(404, 'PUT', "/items/$choice/part-of", ['into' => $same]);
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
