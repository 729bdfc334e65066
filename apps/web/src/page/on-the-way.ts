/** Whether the router has set out for another page and is not there yet; main.tsx hands the router in. */
let onTheWay = false;

interface Navigating {
  subscribe: (tell: (state: { navigation: { state: string } }) => void) => unknown;
}

export function followRouter(router: Navigating): void {
  router.subscribe(({ navigation }) => {
    onTheWay = navigation.state !== 'idle';
  });
}

export const isOnTheWay = (): boolean => onTheWay;
