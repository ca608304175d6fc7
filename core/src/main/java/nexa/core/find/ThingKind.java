package nexa.core.find;

/** What a trained model tells apart in pictures, in its own order: the classes of the COCO data set. */
public enum ThingKind {
    PERSON(Sort.PERSON),
    BICYCLE(Sort.THING),
    CAR(Sort.THING),
    MOTORCYCLE(Sort.THING),
    AIRPLANE(Sort.THING),
    BUS(Sort.THING),
    TRAIN(Sort.THING),
    TRUCK(Sort.THING),
    BOAT(Sort.THING),
    TRAFFIC_LIGHT(Sort.THING),
    FIRE_HYDRANT(Sort.THING),
    STOP_SIGN(Sort.THING),
    PARKING_METER(Sort.THING),
    BENCH(Sort.FURNISHING),
    BIRD(Sort.ANIMAL),
    CAT(Sort.ANIMAL),
    DOG(Sort.ANIMAL),
    HORSE(Sort.ANIMAL),
    SHEEP(Sort.ANIMAL),
    COW(Sort.ANIMAL),
    ELEPHANT(Sort.ANIMAL),
    BEAR(Sort.ANIMAL),
    ZEBRA(Sort.ANIMAL),
    GIRAFFE(Sort.ANIMAL),
    BACKPACK(Sort.THING),
    UMBRELLA(Sort.THING),
    HANDBAG(Sort.THING),
    TIE(Sort.THING),
    SUITCASE(Sort.THING),
    FLYING_DISC(Sort.THING),
    SKIS(Sort.THING),
    SNOWBOARD(Sort.THING),
    BALL(Sort.THING),
    KITE(Sort.THING),
    BAT(Sort.THING),
    GLOVE(Sort.THING),
    SKATEBOARD(Sort.THING),
    SURFBOARD(Sort.THING),
    RACKET(Sort.THING),
    BOTTLE(Sort.THING),
    WINE_GLASS(Sort.THING),
    CUP(Sort.THING),
    FORK(Sort.THING),
    KNIFE(Sort.THING),
    SPOON(Sort.THING),
    BOWL(Sort.FURNISHING),
    BANANA(Sort.THING),
    APPLE(Sort.THING),
    SANDWICH(Sort.THING),
    ORANGE(Sort.THING),
    BROCCOLI(Sort.THING),
    CARROT(Sort.THING),
    HOT_DOG(Sort.THING),
    PIZZA(Sort.THING),
    DOUGHNUT(Sort.THING),
    CAKE(Sort.THING),
    CHAIR(Sort.FURNISHING),
    COUCH(Sort.FURNISHING),
    PLANT(Sort.THING),
    BED(Sort.FURNISHING),
    TABLE(Sort.FURNISHING),
    TOILET(Sort.FURNISHING),
    SCREEN(Sort.FURNISHING),
    LAPTOP(Sort.THING),
    MOUSE(Sort.THING),
    REMOTE(Sort.THING),
    KEYBOARD(Sort.THING),
    TELEPHONE(Sort.THING),
    MICROWAVE(Sort.FURNISHING),
    OVEN(Sort.FURNISHING),
    TOASTER(Sort.FURNISHING),
    SINK(Sort.FURNISHING),
    REFRIGERATOR(Sort.FURNISHING),
    BOOK(Sort.THING),
    CLOCK(Sort.THING),
    VASE(Sort.THING),
    SCISSORS(Sort.THING),
    TEDDY_BEAR(Sort.THING),
    HAIR_DRYER(Sort.THING),
    TOOTHBRUSH(Sort.THING);

    /** What photos are about, and what stands around in them. */
    public enum Sort {
        PERSON,
        ANIMAL,
        THING,
        /** Furniture, appliances, bowls: photos are rarely about them, and much that is round and hollow is taken for one. */
        FURNISHING;

        boolean isLiving() {
            return this == PERSON || this == ANIMAL;
        }
    }

    private final Sort sort;

    ThingKind(Sort sort) {
        this.sort = sort;
    }

    public Sort sort() {
        return sort;
    }
}
