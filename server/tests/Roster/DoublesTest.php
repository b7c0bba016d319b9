<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Roster;

use ChalkLadder\Server\Platform\Storage\Id;
use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;

/** Two records of one student become one, with all work, and can be parted again. */
final class DoublesTest extends ApiCase
{
    private const MERGE = '0190a0a0-0000-7000-8000-00000000a001';
    private string $handout;
    private string $ada;
    private string $double;

    protected function setUp(): void
    {
        parent::setUp();
        $this->handout = $this->world->handOut(['attempts' => 3]);
        $this->ada = $this->world->students['Ada Okafor']->id;
        $this->double = $this->world->students['Cleo Marsh']->id;
    }

    public function testAllWorkOfTheDoubleIsTheOthersAndComesBack(): void
    {
        $this->world->sit('Ada Okafor', $this->handout, ['e-text' => ['text' => 'sand']]);
        $second = $this->world->sit('Cleo Marsh', $this->handout, ['e-text' => ['text' => 'SECRETROCK']]);
        $only = $this->only();
        $sat = $this->world->sit('Cleo Marsh', $only, ['e-text' => ['text' => 'mud']]);
        $this->as($this->world->teacher)->get('POST', "/classes/{$this->world->classId}/groups", ['name' => 'Oars', 'students' => [$this->double]]);
        $before = $this->picture($only);

        $this->merge();
        $rows = $this->lookout();
        self::assertSame(['Ada Okafor', 'Benoît Larsen'], array_keys($rows));
        self::assertSame([$second, 2], [$rows['Ada Okafor']->text('sittingId'), $rows['Ada Okafor']->int('attempt')]);
        self::assertSame([$sat, 1], [$this->lookout($only)['Ada Okafor']->text('sittingId'), $this->lookout($only)['Ada Okafor']->int('attempt')]);
        $class = $this->as($this->world->teacher)->get('GET', '/classes/'.$this->world->classId);
        self::assertSame(['Ada Okafor', 'Benoît Larsen'], $class->column('students', 'name'));
        self::assertSame([], $class->list('left'), 'nobody who could be brought back');
        self::assertSame([$this->ada], $class->at('groups.0.students'));

        $this->get('DELETE', '/merges/'.self::MERGE);
        self::assertSame(['Ada Okafor', 'Benoît Larsen', 'Cleo Marsh'], array_keys($this->lookout()));
        self::assertSame(1, $this->lookout()['Cleo Marsh']->int('attempt'));
        self::assertSame($before['Cleo Marsh'], $this->picture($only)['Cleo Marsh']);
        self::assertSame(['Cleo Marsh'], array_keys($this->lookout($only)), 'handed by it alone');
        $class = $this->get('GET', '/classes/'.$this->world->classId);
        self::assertSame([$this->double], $class->at('groups.0.students'));
        $this->refused(409, 'DELETE', '/merges/'.self::MERGE);
    }

    public function testWhatIsAtWorkGoesOnAsTheOthers(): void
    {
        $cleo = $this->world->students['Cleo Marsh'];
        $sitting = $this->as($cleo)->get('POST', "/me/handouts/$this->handout/open")->text('id');
        $this->save($sitting, 'reef', 1);
        $this->merge();
        $this->as($cleo)->refused(401, 'GET', "/me/sittings/$sitting");
        $view = $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/handouts/$this->handout/open");
        self::assertSame($sitting, $view->text('id'));
        $this->save($sitting, 'SECRETROCK', 2);
        $step = array_values(array_filter($this->get('GET', "/me/sittings/$sitting")->list('steps'), static fn (Json $s): bool => $s->text('entry') === 'e-text'))[0];
        self::assertSame('SECRETROCK', $step->text('value.text'));
    }

    public function testWhatWasBegunSinceOrIsAClassesStaysWhenTheyAreParted(): void
    {
        [$begun, $classes] = [$this->only(), $this->only()];
        $this->merge();
        $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/handouts/$begun/open");
        $this->tables->run(
            'INSERT INTO handout_class (handout_id, class_id) VALUES (:handout, :class)',
            ['handout' => $classes, 'class' => $this->world->classId],
        );
        $this->as($this->world->teacher)->get('DELETE', '/merges/'.self::MERGE);
        foreach ([$begun, $classes] as $handout) {
            self::assertSame(['Ada Okafor', 'Cleo Marsh'], array_keys($this->lookout($handout)));
        }
    }

    public function testTwoAtWorkOnTheSameAreRefusedInWords(): void
    {
        foreach (['Ada Okafor', 'Cleo Marsh'] as $who) {
            $this->as($this->world->students[$who])->get('POST', "/me/handouts/$this->handout/open");
        }
        $refused = $this->as($this->world->teacher)
            ->refused(409, 'POST', "/students/$this->double/merge", ['id' => self::MERGE, 'into' => $this->ada]);
        self::assertStringContainsString('Both are at work', $refused->text('title'));
        self::assertCount(3, $this->lookout());
    }

    public function testNobodyIsPutTogetherWithThemselvesOrTwice(): void
    {
        $this->as($this->world->teacher)->refused(422, 'POST', "/students/$this->ada/merge", ['id' => self::MERGE, 'into' => $this->ada]);
        $this->merge();
        $this->merge();
        $this->refused(404, 'POST', "/students/$this->double/merge", [
            'id' => '0190a0a0-0000-7000-8000-00000000a002', 'into' => $this->world->students['Benoît Larsen']->id,
        ]);
    }

    /** Handed to the double alone. */
    private function only(): string
    {
        return $this->as($this->world->teacher)->get('POST', '/handouts', [
            'editionId' => $this->world->editionId, 'classes' => [], 'students' => [$this->double], 'requestId' => Id::fresh(),
        ])->text('id');
    }

    private function merge(): void
    {
        $this->as($this->world->teacher)->get('POST', "/students/$this->double/merge", ['id' => self::MERGE, 'into' => $this->ada]);
    }

    private function save(string $sitting, string $text, int $counter): void
    {
        $this->get('PUT', "/me/sittings/$sitting/responses", ['saves' => [
            ['entry' => 'e-text', 'try' => 1, 'value' => ['text' => $text], 'counter' => $counter, 'clientId' => "c$counter"],
        ]]);
    }

    /** @return array<string, Json> rows of the Lookout by name */
    private function lookout(?string $handout = null): array
    {
        $rows = [];
        foreach ($this->as($this->world->teacher)->get('GET', '/handouts/'.($handout ?? $this->handout).'/lookout')->list('rows') as $row) {
            $rows[$row->text('name')] = $row;
        }

        return $rows;
    }

    /** @return array<string, mixed> */
    private function picture(string $handout): array
    {
        return array_map(static fn (Json $row): array => [$row->at('sittingId'), $row->at('attempt'), $row->at('cells')], $this->lookout($handout));
    }
}
