<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Sitting;

use ChalkLadder\Server\Media\Files;
use ChalkLadder\Server\Tests\ApiCase;

/** What was played of a sound: from the student's devices to the results. */
final class PlayedTest extends ApiCase
{
    private const PHONE = '0190a0a0-0000-7000-8000-0000000000d1';
    private const TABLET = '0190a0a0-0000-7000-8000-0000000000d2';

    private string $sound;
    private string $handout;

    protected function setUp(): void
    {
        parent::setUp();
        $this->sound = $this->world->get(Files::class)->store($this->world->teacher->teamId, 'audio/ogg', 'boat.ogg', 'OggS');
        $edition = $this->as($this->world->teacher)->get('POST', '/papers', ['paper' => ['sections' => [
            ['id' => 's1', 'title' => 'On the radio', 'route' => null, 'entries' => [
                ['id' => 'boat', 'kind' => 'source', 'source' => [
                    'title' => 'The pilot boat', 'html' => '', 'picture' => null, 'file' => $this->sound, 'inOrder' => true,
                ]],
                ['id' => 'e-text', 'kind' => 'question', 'item' => $this->world->items['text'], 'points' => '2'],
            ]],
        ]] + $this->world->paperDocument()]);
        $this->handout = $this->world->handOut([], $this->get('POST', '/papers/'.$edition->text('id').'/publish', [
            'version' => $edition->int('version'),
        ])->text('editionId'));
    }

    public function testEachDeviceCountsUpwardsAndAllOfThemTogether(): void
    {
        $id = $this->open('Ada Okafor');
        self::assertTrue($this->get('GET', "/me/sittings/$id")->at('sources.0.inOrder'));
        self::assertEquals(2.0, $this->play($id, self::PHONE, [1, 1, 0]));
        self::assertEquals(2.0, $this->play($id, self::PHONE, [1, 1, 0]), 'said again');
        self::assertEquals(2.0, $this->play($id, self::PHONE, [0, 1, 0]), 'said late');
        self::assertEquals(2.5, $this->play($id, self::TABLET, [0, 0, 3]));
        $this->handIn($id);
        $this->play($id, self::TABLET, [9, 9, 9]);

        $cleo = $this->open('Cleo Marsh');
        $this->handIn($cleo);
        $source = $this->as($this->world->teacher)->get('GET', "/handouts/$this->handout/results/watched");
        self::assertSame(
            ['The pilot boat', 'sound', 1],
            [$source->text('sources.0.title'), $source->text('sources.0.kind'), $source->int('sources.0.part')],
        );
        self::assertEquals([0.5, 0.5, 0.5], $source->at('sources.0.shares'));
        self::assertEquals([1, 1, 3], $source->at('sources.0.times'), 'what is played after handing in is not counted');
        self::assertEquals([0.5, 2], [$source->at('sources.0.through.value'), $source->at('sources.0.through.n')]);
        self::assertEquals([['from' => 2, 'to' => 2.5, 'times' => 3]], $source->at('sources.0.again'));
        self::assertSame(['Ada Okafor', 'Cleo Marsh'], $source->column('sources.0.students', 'name'));
        self::assertEquals([1, 0], $source->column('sources.0.students', 'share'));
        self::assertSame([], $this->get('GET', "/handouts/$this->handout/results/watched?class=8%20Tern")->at('sources.0.students'));
    }

    public function testOnlyWhatThePaperPlaysIsCountedAndForNobodyElse(): void
    {
        $id = $this->open('Ada Okafor');
        $this->refused(422, 'PUT', "/me/sittings/$id/played", $this->said(self::PHONE, [1, 1]));
        $this->refused(422, 'PUT', "/me/sittings/$id/played", ['file' => self::PHONE] + $this->said(self::PHONE, [1, 1, 1]));
        $this->refused(422, 'PUT', "/me/sittings/$id/played", $this->said('phone', [1, 1, 1]));
        $this->as($this->world->students['Cleo Marsh'])->refused(404, 'PUT', "/me/sittings/$id/played", $this->said(self::PHONE, [1, 1, 1]));
        $source = $this->as($this->world->teacher)->get('GET', "/handouts/$this->handout/results/watched");
        self::assertSame([], $source->at('sources.0.students'));
        self::assertNull($source->at('sources.0.through.value'));
    }

    public function testADeviceMoreThanAnybodyHasIsNotKept(): void
    {
        $id = $this->open('Ada Okafor');
        for ($i = 10; $i < 30; ++$i) {
            $this->play($id, substr(self::PHONE, 0, -2).$i, [1, 0, 0]);
        }
        $this->handIn($id);
        $source = $this->as($this->world->teacher)->get('GET', "/handouts/$this->handout/results/watched");
        self::assertEquals([12, 0, 0], $source->at('sources.0.times'));
    }

    private function open(string $student): string
    {
        return $this->as($this->world->students[$student])->get('POST', "/me/handouts/$this->handout/open")->text('id');
    }

    private function handIn(string $id): void
    {
        $this->get('POST', "/me/sittings/$id/hand-in", ['visit' => 1]);
    }

    /** @param list<int> $times */
    private function play(string $id, string $device, array $times): mixed
    {
        return $this->get('PUT', "/me/sittings/$id/played", $this->said($device, $times))->at('until');
    }

    /**
     * @param list<int> $times
     *
     * @return array<string, mixed>
     */
    private function said(string $device, array $times): array
    {
        return ['file' => $this->sound, 'device' => $device, 'millis' => 2500, 'times' => $times];
    }
}
