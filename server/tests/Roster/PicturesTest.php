<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Roster;

use ChalkLadder\Server\Roster\PictureWord;
use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;

/** The youngest come in with three drawn things instead of a PIN. */
final class PicturesTest extends ApiCase
{
    public function testThreePicturesBringAStudentInWhereTheClassHasThem(): void
    {
        $slip = $this->turn(true);
        self::assertCount(PictureWord::LENGTH, (array) $slip->at('pictures'));
        self::assertSame('Ada Okafor', $this->join((array) $slip->at('pictures'))->text('name'));
        $this->turn(false);
        $this->as(null)->refused(422, 'POST', '/join', $this->body((array) $slip->at('pictures')));
    }

    public function testOtherPicturesNoneOrTooFewDoNot(): void
    {
        $word = (array) $this->turn(true)->at('pictures');
        $other = [$word[0] === 'anchor' ? 'boat' : 'anchor'] + $word;
        foreach ([$other, array_slice($word, 0, 2), [], ['ship', 'ship', 'ship'], [...$word, 'boat']] as $pictures) {
            $this->as(null)->refused(422, 'POST', '/join', $this->body($pictures));
        }
    }

    public function testANewPinIsANewWordAndThePinGoesOnToBringThemIn(): void
    {
        $before = $this->turn(true);
        $new = $this->as($this->world->teacher)
            ->get('POST', "/classes/{$this->world->classId}/students/{$this->world->students['Ada Okafor']->id}/pin");
        self::assertSame(PictureWord::of($new->text('pin')), $new->at('pictures'));
        if ($before->at('pictures') !== $new->at('pictures')) {
            $this->as(null)->refused(422, 'POST', '/join', $this->body((array) $before->at('pictures')));
        }
        self::assertSame('Ada Okafor', $this->as(null)->get('POST', '/join', ['pin' => $new->text('pin')] + $this->body([]))->text('name'));
    }

    public function testWordsAreSpreadOverAllThings(): void
    {
        $words = $things = [];
        for ($pin = 0; $pin < 3000; ++$pin) {
            $word = PictureWord::of(sprintf('%06d', $pin));
            $words[implode(' ', $word)] = true;
            foreach ($word as $thing) {
                $things[$thing] = ($things[$thing] ?? 0) + 1;
            }
        }
        self::assertGreaterThan(2000, count($words));
        self::assertCount(count(PictureWord::THINGS), $things);
        self::assertGreaterThan(400, min($things));
    }

    /** @return Json Ada's slip */
    private function turn(bool $on): Json
    {
        $class = $this->as($this->world->teacher)->get('PUT', "/classes/{$this->world->classId}/pictures", ['on' => $on]);
        self::assertSame($on, $class->at('pictures'));

        return $this->get('POST', "/classes/{$this->world->classId}/slips")->list('slips')[0];
    }

    /** @param array<array-key, mixed> $pictures */
    private function join(array $pictures): Json
    {
        return $this->as(null)->get('POST', '/join', $this->body($pictures));
    }

    /**
     * @param array<array-key, mixed> $pictures
     *
     * @return array<string, mixed>
     */
    private function body(array $pictures): array
    {
        $code = $this->as($this->world->teacher)->get('GET', '/classes/'.$this->world->classId)->text('code');
        $this->as(null);

        return ['code' => $code, 'name' => 'Ada Okafor', 'pictures' => array_values($pictures)];
    }
}
