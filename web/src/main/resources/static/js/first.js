// The first water: where the device is, and which hour it keeps.

document.getElementById("device_zone")?.setAttribute("value", Intl.DateTimeFormat().resolvedOptions().timeZone ?? "");

document.getElementById("here")?.addEventListener("click", (event) => {
  const button = event.target;
  navigator.geolocation?.getCurrentPosition(
    ({ coords }) => {
      document.getElementById("latitude").value = coords.latitude.toFixed(2);
      document.getElementById("longitude").value = coords.longitude.toFixed(2);
      document.getElementById("time_zone").value = document.getElementById("device_zone").value;
    },
    () => {
      button.textContent = "The device does not say; touch the globe";
    },
  );
});
