<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout;

/** What becomes of work when its handout closes or is opened again, within the same act; done by the room of sittings. */
interface HandsInWork
{
    /**
     * Hands in what is there of everybody who is still at it.
     *
     * @param list<string> $but ids of students who still have time
     */
    public function handIn(string $handoutId, array $but = []): void;

    /** Hands in what is there of those whose own time is over, in whatever handout. */
    public function handInOverdue(): void;

    /**
     * Moves the end of the time that students have of their own.
     *
     * @param array<string, int> $seconds by student
     */
    public function moveEnd(string $handoutId, array $seconds): void;

    /**
     * Students who were held go on with the time that they had.
     *
     * @param array<string, int> $seconds for which it stood still, by student
     */
    public function goOnAfter(string $handoutId, array $seconds): void;

    /** Everybody who watches or sits looks anew. */
    public function tell(string $handoutId): void;

    /** All who sit are held: their screens need not ask for the words first. Everybody who watches looks anew. */
    public function tellHeld(string $handoutId, string $words): void;

    /** All go on. Where their time stood still, each asks how much is left. */
    public function tellReleased(string $handoutId, bool $isTimed): void;

    /** Gives work back to those from whom closing took it. */
    public function giveBack(string $handoutId): void;
}
