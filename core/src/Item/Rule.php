<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;

/**
 * An answer rule: how a response becomes credit, what a student sees to answer with, and how answer and key are said.
 * Pure; the same response always gets the same outcome. Whatever differs from type to type is asked here, never by
 * asking for the type.
 */
interface Rule
{
    public function type(): ItemType;

    public function check(Response $response): Outcome;

    /** True when no machine can decide and a marker must. */
    public function waitsForMarker(): bool;

    /** @return list<BigRational>|null every credit that an answer can earn, none among them; null where they are too many to list */
    public function credits(): ?array;

    /** @return list<string> ids of every misconception that some response to this rule would show */
    public function misconceptions(): array;

    /** The same rule for a version of its own on paper: what is picked from stands in another order, the same for a seed. */
    public function version(string $seed): self;

    /** @return array<string, mixed> the JSON form, as {@see ItemReader} reads it */
    public function toArray(): array;

    /** @return list<Defect> */
    public function defects(): array;

    /**
     * What a student has before them to answer with. Nothing in it comes from a key.
     *
     * @return array<string, mixed> its members of a *face* (docs/formats/question.md)
     */
    public function face(Showing $showing): array;

    /** The same response with its ids named the other way: as a student's device knows them, or as they are written. */
    public function renamed(Response $response, Renaming $names): Response;

    /** What was given, as a person reads it. */
    public function inWords(Response $response): string;

    /** The key as it is told: HTML, since options may hold maths and pictures. */
    public function key(): string;

    /** @return list<string> what is accepted and for what credit, line by line, in words */
    public function accepted(): array;

    /**
     * The same rule that takes this answer too.
     *
     * @param BigRational $credit   what it earns, 0…1
     * @param string      $feedback what is said to those who give it
     *
     * @throws NotAcceptable
     */
    public function accepting(Response $response, BigRational $credit, string $feedback): self;

    /** What two answers share that are to be marked alike. */
    public function comparedBy(Response $response, Outcome $outcome): string;

    /** Whether they may share less than all of it: prose, which a letter or another word does not make another answer. */
    public function isProse(): bool;

    /** @return array<string, mixed> the response as conditions name it: `text`, `answer` and what else the type has */
    public function inputs(Response $response): array;

    /** The chance of full credit by guessing, 0…1. */
    public function guess(): float;

    /** @return list<Alternative> what can be picked, where results count picks */
    public function alternatives(): array;

    /** @return list<AnswerPart> what was given part by part, where nothing is picked from alternatives and a machine decides */
    public function parts(Response $response): array;

    /** @return list<string> HTML that a student reads besides the prompt */
    public function texts(): array;

    /** @return list<string> ids of the files that a student sees with it */
    public function files(): array;
}
